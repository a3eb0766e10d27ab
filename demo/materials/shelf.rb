# frozen_string_literal: true

require 'hexapdf'
require 'open3'
require 'tmpdir'
require_relative 'chart'
require_relative 'pptx'
require_relative 'tide_curve'

module Demo
  # What Odalys has brought to the shelf of the navigation course. All of it is written by these scripts.
  class Shelf
    # The rules are those of the International Regulations for Preventing Collisions at Sea, 1972.
    SLIDES = [
      { title: 'Collision rules in narrow water', lines: ['Corran Narrows, Harrow Sound', 'Rules 5, 7, 9, 15 and 34'] },
      { title: 'Rule 9: narrow channels', lines: ['Keep as near to the outer limit on your starboard side as is safe.',
                                                  'Under 20 m, or under sail: do not impede a vessel that can only keep to the channel.',
                                                  'Do not cross if that impedes her.'] },
      { title: 'Rule 15: crossing', columns: [['Who has the other on her own starboard side keeps out of the way.',
                                               'She avoids crossing ahead.'], ['Red over there?', 'Then I give way.', 'Green over there?', 'Then I stand on, and watch.']] },
      { title: 'Rule 34: what the horn says', table: [%w[Sound Meaning], ['one short', 'I alter my course to starboard'], ['two short', 'I alter my course to port'],
                                                      ['three short', 'I operate astern propulsion'], ['five short or more', 'I doubt what you do'],
                                                      ['one long', 'I near a bend']] },
      { title: 'Rule 35: in fog', lines: ['Power, making way: one long every two minutes at most', 'Power, stopped: two long',
                                          'Sailing, fishing, towing: one long, two short'], notes: 'Play each, let them say what she is.' },
      { title: 'Before you turn', lines: ['Look all round (rule 5)', 'Is the bearing steady? Then there is risk (rule 7)', 'Turn early, turn plainly (rule 16)'] }
    ].freeze

    PILOT = [
      ['Harrow Sound: notes for small craft', ['Pell Light: flashing white every 10 s, 24 m, 14 M.', 'Leave it to port coming from Wick Quay.']],
      ['Marram Bar', ['Dries 0.4 m at its northern end.', 'Least depth on the leading line 2.1 m at mean low water springs.', 'Breaks in strong south-westerlies.']],
      ['Little Anson', ['Visitors lie alongside the eastern wall.', 'Fresh water at the head of the steps.']]
    ].freeze

    # @param archive [Veranda::Store::Archive]
    # @param address [String] `http://…`, where the stand-in for a video site is
    def initialize(archive, address)
      @archive = archive
      @address = address
    end

    # @return [Hash{Symbol => String}] ids of the materials by what they are
    def build
      Veranda::Workshop::Work.open(@archive)
      lights = @archive.materials.add_link(course_id: School::NAVIGATION, person_id: 'odalys', title: 'Lights at night',
                                           link: "#{@address}/assets/stand-ins/video.html")
      Dir.mktmpdir('shelf') do |dir|
        @dir = dir
        { deck: bring(Pptx.new(SLIDES).write(path('collision_rules.pptx')), 'Collision rules', 'slides'), pilot: bring(pilot, 'Pilot notes for Harrow Sound', 'reading'),
          chart: bring(write('harrow_sound.svg', Chart.call), 'Chart of Harrow Sound', 'charts'),
          tide: bring(write('tide_wick_quay.svg', TideCurve.new.svg), 'Tide at Wick Quay', 'charts'), light: bring(clip, 'A light at sea', 'clips'),
          lights: lights }
      end
    end

    # A board on the slides of a material.
    def board(lesson_id, id, name, material)
      version = @archive.materials.fetch(material)[:version]
      @archive.lessons.add_board(lesson_id, id: id, name: name, material_id: material)
      Veranda::Preparing::Slides.lay(@archive.log, id, material, version, @archive.materials.slides(material, version), by: School.person('odalys'))
    end

    private

    def path(name) = File.join(@dir, name)
    def write(name, text) = path(name).tap { |file| File.write(file, text) }

    def bring(file, title, label)
      upload = @archive.uploads.begin(course_id: School::NAVIGATION, person_id: 'odalys', name: File.basename(file), size: File.size(file), label: label)
      FileUtils.cp(file, @archive.files.upload_path(upload[:id]))
      type = Veranda::Workshop::Sniff.type(file, File.basename(file))
      id, version = @archive.materials.take(upload, type: type, kind: Veranda::Core::Materials::Kinds.of(type))
      # The work is done here and now, so nothing is left for a worker.
      @archive.db[:que_jobs].delete
      Veranda::Workshop::MakeSlides.run(id, version)
      @archive.materials.update(id, title: title)
      id
    end

    def pilot
      doc = HexaPDF::Document.new
      PILOT.each do |title, lines|
        canvas = doc.pages.add(:A5, orientation: :landscape).canvas
        canvas.font('Helvetica', size: 26).text(title, at: [48, 340])
        canvas.font('Helvetica', size: 17)
        lines.each_with_index { |line, i| canvas.text(line, at: [48, 280 - 40 * i]) }
      end
      doc.write(path('pilot_notes.pdf'))
      path('pilot_notes.pdf')
    end

    # A light that rises and falls on a dark sea, with a tone that does the same.
    def clip
      file = path('light.webm')
      light = "color=c=0x16201F:s=480x270:d=6:r=12[sea];color=c=0xE0A63A:s=14x14:d=6:r=12[lamp];[sea][lamp]overlay=x='60+t*55':y='120+20*sin(t*2)'"
      said, status = Open3.capture2e('ffmpeg', '-nostdin', '-v', 'error', '-filter_complex', "#{light}[v]", '-f', 'lavfi', '-i', 'sine=frequency=220:duration=6',
                                     '-map', '[v]', '-map', '0:a', '-pix_fmt', 'yuv420p', '-c:v', 'libvpx', '-b:v', '200k', '-c:a', 'libopus', '-y', file)
      raise said unless status.success?

      file
    end
  end
end
