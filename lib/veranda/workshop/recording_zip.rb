# frozen_string_literal: true

require 'json'
require 'zip'

module Veranda
  module Workshop
    # A recording as one zip of open formats, see `docs/recording-zip.md`: what was shown of every stream as JSON lines, sounds and pictures
    # as WebM, slides, captions as WebVTT, and for whoever has no Veranda its boards as PDF and what was written. {RecordingFromZip} reads
    # it.
    #
    # It holds what {Core::Recordings::Shown} lets through and no more.
    class RecordingZip
      NAMES = Core::Streams::StreamName
      ZIPPED = Core::Recordings::ZipManifest

      # @param archive [Store::Archive]
      # @param replay [Store::Replay] with captions
      # @param told [#call] is told the share that is done; answers whether to go on
      def initialize(archive, replay, told: ->(_) { true })
        @archive = archive
        @replay = replay
        @recording = replay.recording
        @sitting = @recording.sitting
        @shown = replay.shown
        @told = told
        @files = {}
      end

      # @param path [String] of the zip that is made
      # @raise [Film::Work::Stopped]
      def write(path)
        facts = manifest
        Zip::OutputStream.open(path) do |zip|
          put(zip, 'manifest.json', JSON.pretty_generate(facts))
          written.each { |name, text| put(zip, name, text) }
          lines.each { |stream, rows| put(zip, file_of(stream), rows.map { |row| "#{JSON.generate(row)}\n" }.join) }
          @files.each_with_index { |(name, file), i| copy(zip, name, file, i.fdiv(@files.length)) }
        end
      end

      private

      def put(zip, name, text)
        zip.put_next_entry(name)
        zip.write(text)
      end

      # What is packed already is not packed again.
      def copy(zip, name, file, share)
        raise Film::Work::Stopped unless @told.call(share)

        zip.put_next_entry(name, nil, nil, Zip::Entry::STORED)
        File.open(file, 'rb') { |io| IO.copy_stream(io, zip) }
      end

      def manifest
        { format: ZIPPED::FORMAT, version: ZIPPED::VERSION, title: @shown.clean(@sitting.title.to_s), course: @sitting.course.to_s,
          stretches: @recording.clock.stretches, people: people, boards: boards,
          chapters: chapters,
          captions: captions.keys.map { |lang| { lang: lang, file: "captions/#{lang}.vtt" } }, tracks: tracks, pictures: pictures,
          played: played, streams: lines.keys.map { |name| { name: ZIPPED.called(name), file: file_of(name) } } }
      end

      # A step may have begun before what is left of the class: its chapter begins with that.
      def chapters
        @shown.clean(@recording.chapters).map do |chapter|
          title, from, at = chapter.values_at(:title, :from, :at)
          { title: title[0, Core::Recordings::SetChapter::LONGEST], at: [at, @recording.clock.wall(from)].max }
        end
      end

      def file_of(stream) = "streams/#{ZIPPED.called(stream)}.jsonl"

      # What each stream says: as it stood where each stretch begins, and its entries from there on.
      # @return [Hash{String => Array<Hash>}]
      def lines
        return @lines if @lines

        @lines = Hash.new { |all, name| all[name] = [] }
        @replay.all.each do |one|
          next @lines[one[:stream]] << one.slice(:at, :by, :kind, :body) unless one[:kind] == 'seam'

          one[:streams].each { |name, view| @lines[name] << stood(one[:wall], view) }
        end
        @lines[NAMES.sitting(@sitting.id)] << ended
        @lines[NAMES.sitting(@sitting.id)].map! { |row| row.merge(body: without_others(row[:body])) }
        @lines
      end

      # The class has more boards than what may be watched shows; of others the zip says nothing.
      def without_others(body)
        return body.merge(view: without_others(body[:view])) if body[:view]
        return body unless body[:boards]

        body.merge(boards: body[:boards].select { |board| @lines.key?(NAMES.board(board[:id])) })
      end

      def stood(at, view) = { at: at, by: 'house', kind: Core::Streams::Fold::STOOD, body: { view: view } }

      # The class is over where the recording is, and was recorded where there is something to see.
      def ended
        stretches = @recording.clock.stretches
        view = @replay.last[:streams][NAMES.sitting(@sitting.id)]
        stood(stretches.last.last, { **view, status: 'ended', ended_at: stretches.last.last, opened_at: stretches.first.first,
                                             moves: [], activities: [],
                                             stretches: stretches.map { |from, to| { from: from, to: to } } })
      end

      def people
        @shown.clean(@replay.people.filter_map { |id| @sitting.seats[id] }.map { |seat| { id: seat.id, name: seat.name, role: seat.role } })
      end

      def boards
        ids = lines.keys.select { |name| NAMES.kind(name) == :board }.map { |name| NAMES.id(name) }
        names = @shown.clean(@sitting.boards).to_h { |board| board.values_at(:id, :name) }
        ids.map { |id| { id: id, name: (names[id] || 'Board')[0, ZIPPED::LONGEST_NAME] } }
      end

      def captions
        captioned = @replay.captioned
        @captions ||= captioned.languages.to_h { |lang| [lang, Core::Recordings::WebVtt.write(captioned.cues(lang))] }
      end

      # For whoever has no Veranda.
      def written
        writing = Preparing::RecordedWriting.new(@replay)
        rows = writing.said + writing.posts
        drawn = writing.boards
        title = @shown.clean(@sitting.title.to_s)
        { **captions.to_h { |lang, text| ["captions/#{lang}.vtt", text] },
          'transcript.txt' => Core::Recordings::WrittenUp.new(rows, title: title).txt,
          'posts.csv' => Core::Recordings::WrittenUp.new(writing.posts, title: title).csv,
          'polls.csv' => Core::Polls::ShownResults.csv(writing.polls),
          **(drawn.any? ? { 'boards.pdf' => BoardFiles.new(@archive).pdf(drawn) } : {}) }
      end

      def tracks
        Preparing::TracksLeft.new(@archive, @recording).given.each_with_index.map do |track, i|
          file = "tracks/#{i + 1}-#{track[:kind]}.webm"
          @files[file] = @archive.files.path(track[:file])
          { person: @shown.clean({ id: track[:person_id] })[:id], kind: track[:kind], from: track[:began_at], file: file }
        end
      end

      def pictures
        Preparing::Shows.pictures(@archive, lines.values).map do |picture|
          slide = picture.slice(:material, :version, :slide)
          file = "slides/#{slide.values.join('-')}#{picture[:type] == 'image/svg+xml' ? '.svg' : '.png'}"
          @files[file] = picture[:path]
          { **slide, file: file }
        end
      end

      # Sounds and clips, as far as they are kept here.
      def played
        Preparing::Shows.played(lines.values).filter_map do |material, version, title|
          row = @archive.materials.version(material, version)
          next unless row[:original] && @archive.files.exist?(row[:original])

          file = "played/#{material}-#{version}#{File.extname(row[:name])[/\A\.\w{1,5}\z/]}"
          @files[file] = @archive.files.path(row[:original])
          { material: material, version: version, title: title, file: file }
        rescue Core::Refusal
          nil
        end
      end
    end
  end
end
