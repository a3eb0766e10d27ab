# frozen_string_literal: true

require 'fileutils'
require 'json'

module Veranda
  module Workshop
    # Makes a recorded class, with a lesson of its own, of a zip that {RecordingZip} wrote, perhaps elsewhere. All of it or nothing:
    # whatever is wrong is said, and nothing is taken in.
    class RecordingFromZip
      include FromZip

      # s to take it apart.
      PATIENCE = 140
      # Entries that are stored at once.
      AT_ONCE = 1_000
      # Fields in which no id of anybody or anything stands, but words.
      WORDS = %i[text words name title label alt explanation unit author].freeze
      NAMES = Core::Streams::StreamName

      # @param archive [Store::Archive]
      # @param path [String] of the zip
      # @param course_id [String]
      # @param by [Core::Person] who brings it
      def initialize(archive, path, course_id:, by:)
        @archive = archive
        @path = path
        @course_id = course_id
        @by = by
      end

      # @return [String] id of the class
      # @raise [Core::Refusal] `zip_damaged`, `zip_too_large`, `zip_foreign`, `zip_newer`, `zip_incomplete`, `bad_input`
      def call
        all_or_nothing(:recording, PATIENCE) do |parts, dir|
          @facts, @files = parts.values_at(:manifest, :files)
          @dir = dir
          build
        end
      end

      private

      def build
        from, to = @facts[:stretches].flatten.minmax
        @lesson = @archive.lessons.create(course_id: @course_id, title: @facts[:title], starts_at: Time.at(from / 1000),
                                          minutes: ((to - from) / 60_000.0).ceil.clamp(5, 600))
        @boards = @facts[:boards].to_h { |board| [board[:id], @archive.lessons.add_board(@lesson, name: board[:name])] }
        @sitting = @archive.sittings.create(@lesson)
        @shows = shown
        @facts[:streams].each { |row| store(row) }
        over(from)
        tracks
        edits
        played_through!
        @sitting
      end

      # @return [Hash{Array => Array}] material, version and slide here by those in the zip; of what was played without the slide
      def shown
        pictures = @facts[:pictures].to_h { |row| [row.values_at(:material, :version, :slide), [take(row[:file], 'Picture'), 1, 1]] }
        played = @facts[:played].to_h { |row| [row.values_at(:material, :version), [take(row[:file], row[:title]), 1]] }
        { **pictures, **played }
      end

      # It is on nobody's shelf, as what is posted in a class.
      def take(file, title)
        copy = File.join(@dir, Store::Ids.call)
        # Several may be shown out of one file.
        FileUtils.cp(@files.fetch(file.to_sym), copy)
        material_of(copy, "#{title}#{File.extname(file)}", person_id: @by.id, sitting_id: @sitting)
      end

      def store(row)
        name = Core::Recordings::ZipManifest.stream(row[:name], @sitting, @boards)
        seq = 0
        File.foreach(@files.fetch(row[:file].to_sym)).each_slice(AT_ONCE) do |lines|
          entries = lines.map { |line| entry(name, seq += 1, JSON.parse(line, symbolize_names: true)) }
          @archive.log.begin(name)
          @archive.log.append([name]) { entries }
        end
      rescue KeyError
        raise Core::Refusal.new(:bad_input, 'A board in this zip is not named in its manifest. Nothing was taken in.')
      end

      def entry(name, seq, line)
        Core::Streams::Entry.new(stream: name, seq: seq, at: line[:at], actor: home(line[:by]), kind: line[:kind],
                                 body: of_class(name, at_home(line[:body])), command_id: "zip#{seq}")
      end

      # Whatever class a zip speaks of, here it is this one: everything that is asked of a recording goes by that id.
      def of_class(name, body)
        return body unless Core::Streams::StreamName.kind(name) == :sitting

        body[:view] ? body.merge(view: in_zip(body[:view].merge(id: @sitting))) : in_zip(body.merge({ id: @sitting }.slice(*body.keys)))
      end

      # Zips of earlier versions tell of boards that are not in them.
      def in_zip(facts) = facts[:boards] ? facts.merge(boards: facts[:boards].select { |board| @boards.value?(board[:id]) }) : facts

      # People, boards and materials by the ids that they have here. Files that were posted are not in a zip, and an id of one would open
      # whatever has it here.
      def at_home(value, field = nil)
        case value
        when Hash then shows(value).except(:file).to_h { |key, part| [key, at_home(part, key)] }
        when Array then value.map { |part| at_home(part, field) }
        when String then if WORDS.include?(field)
                           value
                         else
                           @boards[value] || (people.include?(value) ? home(value) : value)
                         end
        else value
        end
      end

      # What is not in the zip is shown by nothing.
      def shows(value)
        return value unless value[:material]

        here = @shows[value.values_at(:material, :version, :slide).compact] || [Store::Ids.call, 1, 1]
        value.merge(%i[material version slide].zip(here).to_h.slice(*value.keys))
      end

      def people = @people ||= @facts[:people].to_set { |person| person[:id] }

      def over(from)
        @archive.db[:sittings].where(id: @sitting).update(status: 'ended', made_at: Time.at(from/1000r))
      end

      # Those that can be played; the rest is left out, and the recording says that some is missing.
      def tracks
        rows = @facts[:tracks].each_with_index.map { |row, i| [row, "#{i}-#{row[:kind]}", facts_of(row)] }
        rows.each do |row, name, facts|
          next unless facts

          take = Core::Recordings::Take.new(sitting: @sitting, place: Core::Sittings::Places::MAIN, person: home(row[:person]),
                                            since: row[:from])
          @kept << "tracks/#{@sitting}"
          @archive.tracks.add(take, name: "#{take.name}-#{name}", path: facts[:path], kind: row[:kind], began_at: row[:from],
                                    length: facts[:length])
        end
        return if rows.empty?

        @archive.tracks.report(@sitting, rows.all?(&:last) ? 'ready' : 'partly')
        @archive.tracks.measure(@sitting)
      end

      # A file in which there is anything but sound or picture as browsers play them is none.
      def facts_of(row)
        path = @files.fetch(row[:file].to_sym)
        told = JSON.parse(Tool.run('ffprobe', '-v', 'error', '-f', 'matroska,webm', '-show_entries', 'format=duration:stream=codec_name',
                                   '-of', 'json', path, dir: @dir))
        codecs = told['streams'].map { |stream| stream['codec_name'] }
        length = (Float(told['format']['duration']) * 1000).round
        { path: path, length: length } if codecs == (row[:kind] == 'sound' ? %w[opus] : %w[vp8]) && length.positive?
      rescue Tool::Failed, JSON::ParserError, ArgumentError, TypeError
        nil
      end

      def edits
        chapters.each { |at, title| edit('chapter', at: at, title: title) }
        @facts[:captions].each do |row|
          lines = caption_lines(row)
          edit('captions', lang: row[:lang], lines: lines, gone: [], all: true) if lines.any?
        end
      end

      # Zips of earlier versions have chapters begin before there is anything of the class.
      # @return [Hash{Integer => String}] titles by when they begin
      def chapters
        within = Range.new(*@facts[:stretches].flatten.minmax)
        @facts[:chapters].to_h { |chapter| [chapter[:at].clamp(within), chapter[:title]] }
      end

      def caption_lines(row)
        clock = Core::Recordings::Clock.new(@facts[:stretches])
        cues, = Core::Recordings::CaptionFile.new(File.binread(@files.fetch(row[:file].to_sym))).read
        cues.each_with_index.filter_map do |cue, i|
          from, to = clock.wall(cue.from), clock.wall(cue.to)
          { id: "c#{i}", from: from, to: to, words: cue.words } if to > from
        end
      end

      def edit(name, **input)
        Deciding::Perform.call(@archive.log, "recording.#{name}", input, stream: NAMES.recording(@sitting), by: @by)
      end

      # What cannot be played to its end is not taken in.
      def played_through!
        recording = @archive.recordings.recording(@archive.recordings.fetch(@sitting), captions: true)
        raise unplayable unless recording && recording.clock.stretches == @facts[:stretches] && own?(recording)

        replay = Store::Replay.new(@archive.log, @sitting, recording)
        told = replay.all
        playing = Core::Films::Playing.new(sitting: @sitting, told: told, clock: recording.clock)
        told.each do |one|
          playing.advance(one[:t])
          playing.page&.then { |page| page.state.height(page.page) }
        end
        replay.last
        replay.captioned.languages
      rescue NoMethodError, TypeError, KeyError, ArgumentError, FrozenError, RangeError, ZeroDivisionError
        raise unplayable
      end

      # Nothing of any other class, board or room is reached by way of this one.
      def own?(recording)
        streams = @facts[:streams].map { |row| Core::Recordings::ZipManifest.stream(row[:name], @sitting, @boards) }
        recording.sitting.id == @sitting && recording.sitting.activities.empty? && (recording.streams - streams).empty?
      end

      def unplayable = Core::Refusal.new(:zip_damaged, 'What this zip tells of the class contradicts itself. Nothing was taken in.')
    end
  end
end
