# frozen_string_literal: true

require 'fileutils'
require 'que'
require 'tmpdir'

module Veranda
  module Workshop
    # Works on one version of a material: finds out what it is, makes slides of it, and writes down what an
    # instructor has to know. Slides appear one by one; a run that was cut off is begun again.
    class MakeSlides < Que::Job
      self.maximum_retry_count = 2

      # @param id [String] of the material
      # @param version [Integer]
      def run(id, version)
        @id, @version = id, version
        @material = materials.version(id, version)
        materials.report(id, version, 'working')
        Dir.mktmpdir('slides', Work.archive.files.scratch) { |dir| work(dir) }
        finish
      end

      private

      def materials = Work.archive.materials
      def source = Work.archive.files.path(@material[:original])

      def work(dir)
        seen = look(dir)
        raise Given, :nothing_inside unless seen[:slides].positive? || seen.key?(:facts)

        ready(seen)
      rescue Given => e
        fail_with(e.code, **e.more)
      rescue Pdf::Locked
        fail_with(:encrypted)
      rescue Pdf::Damaged, CleanSvg::NotSvg, ZipGuard::Damaged
        fail_with(:damaged)
      rescue ZipGuard::TooMuch
        FileUtils.rm_f(source)
        fail_with(:too_much_inside, most: Core::Materials::Limits::MOST_UNPACKED / Core::Materials::Limits::MEGABYTE)
      rescue Picture::TooManyPoints => e
        fail_with(:too_many_points, points: e.points / 1_000_000, most: Core::Materials::Limits::MOST_POINTS / 1_000_000)
      rescue Tool::TooLong
        fail_with(:too_long)
      rescue Tool::Failed, SystemCallError => e
        raise unless e.is_a?(Tool::Failed) || NoRoom.why?(e)
        return fail_with(:no_room) if NoRoom.why?(e)

        fail_with(@material[:kind] == 'document' ? :fault : :damaged)
      end

      # Something that cannot be gone on with, with the code of what the instructor is told.
      class Given < StandardError
        attr_reader :code, :more

        def initialize(code, **more)
          super(code.to_s)
          @code = code
          @more = more
        end
      end
      private_constant :Given

      # @return [Hash] what was seen, as {Core::Materials::Findings.of} takes it
      def look(dir)
        closed = Sniff.closed(source)
        raise Given, closed if closed

        case @material[:type]
        when Core::Materials::Kinds::PDF then pdf(source, dir)
        when *Core::Materials::Kinds::OFFICE.keys then office(dir)
        when Core::Materials::Kinds::SVG then vector(dir)
        when *Core::Materials::Kinds::PICTURES then one(Picture.new(source, @material[:type], dir).slide)
        else sound_and_picture(dir)
        end
      end

      def pdf(path, dir, saved: nil)
        document = Pdf.new(path, dir)
        count = count(document)
        return rescue_pdf(path, dir) if count.nil? && saved.nil?
        raise Pdf::Damaged unless count

        damaged = saved || document.damaged?
        empty, made = slides(document, count)
        { slides: saved ? made : count, empty: empty, **damage(damaged, saved, made, count) }
      end

      # @return [Integer, nil] nil when nobody can say
      def count(document)
        document.count
      rescue Pdf::Damaged
        nil
      end

      def damage(damaged, saved, made, count)
        return { saved: made } if saved

        damaged && made < [count, Core::Materials::Limits::MOST_SLIDES].min ? { saved: made, promised: count } : {}
      end

      # The table of pages is gone; perhaps pages are left.
      def rescue_pdf(path, dir)
        to = File.join(dir, 'saved.pdf')
        saved = Limited.call(:save_pages, dir: dir, path: path, to: to)[:saved] or raise Pdf::Damaged
        pdf(to, dir, saved: saved)
      end

      # @return [Array(Array<Integer>, Integer)] slides with nothing on them, and how many slides there are
      def slides(document, count)
        empty = []
        made = 0
        document.each_slide([count, Core::Materials::Limits::MOST_SLIDES].min) do |slide|
          empty << slide[:slide] if slide[:empty]
          keep(slide)
          made = slide[:slide]
        end
        raise Pdf::Damaged if made.zero?

        [empty, made]
      end

      def office(dir)
        Limited.call(:check_zip, dir: dir, path: source)
        document = Office.new(source, @material[:type], dir)
        path = document.pdf
        files.put(File.open(path, 'rb'), name('pdf'))
        seen = pdf(path, dir)
        seen.merge(fonts: document.missing_fonts(Pdf.new(path, dir).fonts), animated: document.animated)
      end

      def vector(dir)
        vector = Vector.new(source, dir)
        one(vector.slide).merge(dropped: vector.dropped)
      end

      def sound_and_picture(dir)
        footage = SoundAndPicture.new(source, dir)
        facts = footage.facts
        poster = footage.poster
        facts[:poster] = files.move(poster, name('poster.png')) if poster
        { slides: 0, facts: facts }
      end

      def one(slide)
        keep(slide)
        { slides: 1 }
      end

      def keep(slide)
        number = slide[:slide]
        picture = files.move(slide[:path], name("slides/#{number}"))
        thumbnail = files.move(slide[:thumbnail], name("slides/#{number}-small.png"))
        materials.add_slide(@id, @version, picture: picture, thumbnail: thumbnail,
                                           **slide.slice(:slide, :w, :h, :type, :words, :tones))
      end

      def files = Work.archive.files
      def name(part) = "materials/#{@id}/#{@version}/#{part}"

      def ready(seen)
        findings = Core::Materials::Findings.of(seen.merge(size: @material[:size]))
        count = [seen[:saved] || seen[:slides], Core::Materials::Limits::MOST_SLIDES].min
        materials.report(@id, @version, 'ready', findings: findings, facts: seen[:facts] || {}, slide_count: count)
        materials.promote(@id, @version)
        NewVersion.call(Work.archive, @id, @version) if @version > 1
      end

      def fail_with(code, **more)
        materials.report(@id, @version, 'failed', findings: [Core::Materials::Findings.failure(code, **more)], slide_count: 0)
      end

      # After the last try the instructor is told.
      def handle_error(error)
        super
        fail_with(:fault) if error_count >= self.class.maximum_retry_count
      end

      def log_level(_elapsed) = :debug
    end
  end
end
