# frozen_string_literal: true

require 'fileutils'
require 'json'
require 'zip'

module Veranda
  module Workshop
    # Makes a lesson of a zip that {LessonZip} wrote, perhaps elsewhere. All of it or nothing: whatever is wrong is said,
    # and nothing is taken in.
    class LessonFromZip
      # Bytes of the manifest and of one page.
      MOST_TEXT = 40 * 1024 * 1024

      # @param archive [Store::Archive]
      # @param path [String] of the zip
      # @param course_id [String]
      # @param by [String] id of the person who brings it
      # @param starts_at [Time]
      def initialize(archive, path, course_id:, by:, starts_at: Time.now + 7 * 86_400)
        @archive = archive
        @path = path
        @course_id = course_id
        @by = by
        @starts_at = starts_at
      end

      # @return [String] id of the lesson
      # @raise [Core::Refusal] `zip_damaged`, `zip_too_large`, `zip_foreign`, `zip_newer`, `zip_incomplete`, `bad_input`, `not_a_board`
      def call
        ZipGuard.check!(@path)
        Zip::File.open(@path) do |zip|
          @zip = zip
          facts = Core::Lessons::Manifest.check(manifest)
          @archive.db.transaction { build(facts) }
        end
      rescue ZipGuard::TooMuch
        raise Core::Refusal.new(:zip_too_large, 'This zip unpacks to more than is taken. Nothing was taken in.')
      rescue ZipGuard::Damaged, Zip::Error
        raise Core::Refusal.new(:zip_damaged,
                                'This zip is damaged. Nothing was taken in. Save the lesson again where it came from.')
      end

      private

      def manifest
        entry = @zip.find_entry('manifest.json') or
          raise Core::Refusal.new(:zip_foreign, 'This zip holds no lesson of Veranda. Nothing was taken in.')
        JSON.parse(read(entry))
      rescue JSON::ParserError
        raise Core::Refusal.new(:zip_foreign, 'The manifest in this zip cannot be read. Nothing was taken in.')
      end

      def read(entry)
        # What the zip says of an entry's size may be a lie.
        text = entry.get_input_stream.read(MOST_TEXT + 1) || ''
        raise ZipGuard::TooMuch if text.bytesize > MOST_TEXT

        text.force_encoding(Encoding::UTF_8).scrub
      end

      def part(name)
        @zip.find_entry(name) || raise(Core::Refusal.new(:zip_incomplete,
                                                         "“#{name}” is missing in this zip. Nothing was taken in."))
      end

      def build(facts)
        materials = facts[:materials].to_h { |material| [material[:id], take(material)] }
        lesson = @archive.lessons.create(course_id: @course_id, title: facts[:title], starts_at: @starts_at,
                                         minutes: facts[:minutes])
        boards = facts[:boards].to_h { |board| [board[:id], board(board, lesson, materials)] }
        steps = facts[:steps].map { |step| step(step, boards, materials) }
        @archive.db[:lessons].where(id: lesson).update(steps: Sequel.pg_jsonb(steps), record_from: facts[:record_from])
        lesson
      end

      def take(material)
        entry = part(material[:file])
        upload = @archive.uploads.begin(course_id: @course_id, person_id: @by, name: material[:name], size: [entry.size, 1].max)
        to = @archive.files.upload_path(upload[:id])
        File.open(to, 'wb') { |file| IO.copy_stream(entry.get_input_stream, file) }
        raise ZipGuard::Damaged, 'an entry is larger than it says' unless File.size(to) == upload[:size]

        type = Sniff.type(to, material[:name])
        id, = @archive.materials.take(upload, type: type, kind: Core::Materials::Kinds.of(type))
        @archive.materials.update(id, title: material[:title], labels: material[:labels])
        id
      end

      def board(board, lesson, materials)
        pages = board[:pages].map { |name| Core::Boards::SvgReader.new(read(part(name))).call }
        id = @archive.lessons.add_board(lesson, name: board[:name], audience: board[:audience], outside: board[:outside],
                                                first_page: board[:first_page])
        order = Store::Order.of('board.take_in', input(pages, materials), stream: Core::Streams::StreamName.board(id), by: Store::Slides::HOUSE)
        at = Process.clock_gettime(Process::CLOCK_REALTIME, :millisecond)
        outcome = Store::Performer.new(@archive.log).perform([order], at: at).first
        raise outcome.refusal if outcome.refusal

        id
      end

      def input(pages, materials)
        marks = pages.flat_map(&:marks).map { |mark| at_home(mark, materials) }
        authors = pages.map(&:authors).reduce({}, :merge).map { |id, name| { id: home(id), name: name } }
        facts = pages.map do |page|
          { page: page.id, **(page.facts || {}) }.then do |row|
            row[:ground] ? row.merge(ground: at_home(row[:ground], materials)) : row
          end
        end
        JSON.parse(JSON.generate(pages: facts, marks: marks, authors: authors))
      end

      # Materials have new ids here, and people who are not of this course are nobody's namesakes.
      def at_home(facts, materials)
        facts = facts.merge(by: home(facts[:by])) if facts[:by]
        return facts unless facts[:material]

        id = materials[facts[:material]] or
          raise Core::Refusal.new(:zip_incomplete,
                                  'A board in this zip shows a material that is not in it. Nothing was taken in.')
        facts.merge(material: id, version: 1)
      end

      def home(person)
        @people ||= @archive.people.roster(@course_id).map { |row| row[:id] }
        @people.include?(person) ? person : "x-#{person}"[0, 40]
      end

      def step(step, boards, materials)
        cues = (step[:cues] || []).map { |cue| cue.merge({ board: boards[cue[:board]] }.compact) }
        step.merge(board: boards[step[:board]], material: materials[step[:material]], cues: cues)
      end
    end
  end
end
