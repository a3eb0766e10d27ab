# frozen_string_literal: true

module Veranda
  module Aside
    # What may be asked of the process beside about recordings: what is seen of one at a moment, its captions, where words are found in
    # it, and what is done to it.
    module OfRecordings
      # Recordings that are watched at the same time, of which something is kept in memory.
      REPLAYS = 12

      # @param board [String, nil] id of one that is looked at besides what was on show
      def replay_at(sitting:, t:, board: nil, **in_room) = JSON.generate(replay(sitting, **in_room).at(t, board: board))

      def replay_between(sitting:, from:, to:, **in_room)
        JSON.generate(from: from, to: to, entries: replay(sitting, **in_room).between(from, to))
      end

      # What commands decide on may be long.
      # @param edit [String] of {Core::Commands::EDITING}
      # @param by [Hash]
      def edit_recording(sitting:, edit:, with:, by:) = editing(sitting, by).call(edit, with) && nil

      # Files of some gigabytes take a while to be thrown away.
      def delete_recording(sitting:) = @archive.recordings.delete(sitting) && nil
      def drop_export(sitting:, export:) = @archive.exports.drop(sitting, export) && nil

      # @return [String] JSON of what a player needs of a recording, see {Preparing::Watched}
      def replay_facts(sitting:, viewer:, teaches:, only: nil)
        JSON.generate(Preparing::Watched.new(@archive, replay(sitting, only: only)).facts(viewer, teaches: teaches))
      end

      # Recordings that are read for one search; the rest come with the next.
      READ_AT_ONCE = 12

      # Looks for words in recordings, after reading those that were edited or are new.
      # @param sittings [Array<String>]
      # @return [Hash] `{ places: [{ sitting_id:, at:, kind:, words:, board:, page: }], unread: }`, `unread` how many are still to be
      #   read
      def search_recordings(sittings:, text:)
        later = read_words(sittings)
        { places: @archive.recorded_words.find(sittings - later, text), unread: later.length }
      end

      # Places that are told of one recording by itself.
      PLACES = 50

      # Looks for words in what one may watch of a recording. What one may not is left out first: else it would take the room.
      # @return [Array<Hash>] `{ at:, kind:, words:, board:, page: }`
      def places_in(sitting:, text:, only: nil)
        read_words([sitting])
        watched = replay(sitting, only: only)
        boards = watched.boards.map { |name| Core::Streams::StreamName.id(name) }
        places = @archive.recorded_words.find([sitting], text, in_one: Store::RecordedWords::MOST).select do |place|
          watched.recording.clock.covers?(place[:at]) && (place[:board].nil? || boards.include?(place[:board]))
        end
        places.first(PLACES).map { |place| place.except(:sitting_id) }
      end

      # All recordings that somebody may watch; where words are looked for, those that have them, with the places.
      # @return [Hash] `{ recordings:, unread: }`
      def recordings_of(person:, text:)
        rows = Preparing::RecordingList.new(@archive, titles: method(:titles)).of(person)
        return { recordings: rows, unread: 0 } if text.strip.empty?

        found = search_recordings(sittings: rows.map { |row| row[:id] }, text: text)
        places = found[:places].group_by { |place| place.delete(:sitting_id) }
        { recordings: rows.filter_map { |row| places[row[:id]]&.then { |some| { **row, places: some } } }, unread: found[:unread] }
      end

      # @return [String] JSON of all captions, in the time of the recording
      def replay_captions(sitting:, only: nil)
        captioned = replay(sitting, only: only, captions: true).captioned
        JSON.generate(languages: captioned.languages.map { |lang| { lang: lang, lines: captioned.cues(lang).map(&:to_h) } })
      end

      # @param format [String] `vtt` or `srt`
      # @return [String] path of the file
      def caption_file(sitting:, lang:, format:, only: nil)
        cues = replay(sitting, only: only, captions: true).captioned.cues(lang)
        raise Core::Refusal.new(:no_captions, 'There are no captions in this language.') if cues.empty?

        file(format, format == 'srt' ? Core::Recordings::WebVtt.srt(cues) : Core::Recordings::WebVtt.write(cues))
      end

      # @return [Hash] `{ every:, parts:, silences: }`, see {Core::Recordings::Levels}
      def recording_levels(sitting:)
        class_of = @archive.sittings.state(sitting)
        levels = Core::Recordings::Levels.new(@archive.tracks.levels(sitting, Core::Sittings::Places::MAIN), from: class_of.opened_at,
                                                                                                             to: class_of.ended_at)
        { every: levels.every, parts: levels.parts, silences: levels.silences }
      end

      # @return [Array<Array(String, Integer, Integer)>] material, version and slide of all that boards show in what one may watch
      def recorded_slides(sitting:, only: nil)
        one = replay(sitting, only: only)
        (@slides ||= Core::Recent.new(REPLAYS)).fetch([sitting, only, one.recording.edits.to_h.hash]) { Preparing::Shows.slides(one.all) }
      end

      # @param viewer [String, nil]
      # @return [Hash] `{ every:, parts:, quiet:, own: }`, see {Core::Recordings::Happened}
      def recording_happened(sitting:, viewer:, only: nil)
        one = replay(sitting, only: only, captions: true)
        told = happenings.fetch([sitting, only, one.recording.edits.to_h.hash]) { happened(one) }
        { **told, own: told[:own].fetch(viewer && one.shown.clean({ id: viewer })&.fetch(:id), []) }
      end

      # @param person [Hash]
      # @param watches [Boolean] whether they may watch the recording
      # @return [Hash] see {Preparing::AfterClass#facts}
      def after_class(sitting:, person:, watches:)
        return after(sitting, person, false).facts unless watches

        # The same for all who may watch.
        edits = @archive.recordings.edits(sitting, captions: true).to_h.hash
        (@after ||= Core::Recent.new(REPLAYS)).fetch([sitting, edits, @archive.tracks.state(sitting)]) { after(sitting, person, true).facts }
      end

      # @return [String] id of the copy
      def own_copy(sitting:, person:, board:) = after(sitting, person, true).copy(board)

      # @param what [String] `transcript`, `posts`, `polls` or `boards`
      # @param format [String]
      # @return [String] path of the file
      def recorded_writing(sitting:, what:, format:, only: nil)
        written = Preparing::RecordedWriting.new(replay(sitting, only: only, captions: true))
        case what
        when 'boards' then file('pdf', files.pdf(some(written.boards, 'Nothing was drawn in it.')))
        when 'polls' then file('csv', Core::Polls::ShownResults.csv(some(written.polls, 'No answers were shown in it.')))
        else
          rows = some(what == 'posts' ? written.posts : written.said + written.posts, 'Nothing was written in it.')
          file(format, Core::Recordings::WrittenUp.new(rows, title: title(sitting)).to(format))
        end
      end

      # Takes captions in from a file, in place of those that were there.
      # @param path [String]
      # @return [Array<Hash>] `{ line:, says: }` of what was left out
      def take_captions(sitting:, lang:, path:, by:)
        cues, problems = Core::Recordings::CaptionFile.new(File.binread(path)).read
        clock = recording(sitting).clock
        lines = cues.each_with_index.filter_map do |cue, i|
          from, to = [cue.from, cue.to].map { |time| clock.wall(time) }
          { id: "c#{i}", from: from, to: to, words: cue.words } if to > from && cue.from < clock.length
        end
        raise Core::Refusal.new(:no_captions, 'All of these captions lie after the end of the recording.') if lines.empty?

        editing(sitting, by).call('captions', { lang: lang, lines: lines, gone: [], all: true })
        problems
      end

      # @param viewer [String, nil]
      # @param teaches [Boolean]
      # @return [Array<Hash>] breakout rooms that somebody may look into, see {Preparing::RecordedRooms}
      def replay_rooms(sitting:, viewer:, teaches:, only: nil)
        Preparing::RecordedRooms.new(@archive, sitting, recording(sitting, only)).seen_by(viewer, teaches: teaches)
      end

      private

      # @return [Array<String>] those that are still to be read
      def read_words(sittings)
        words = @archive.recorded_words
        unread = words.unread(sittings)
        unread.first(READ_AT_ONCE).each { |id, head| words.keep(id, head, Preparing::ReadingRecording.new(@archive, replay(id, captions: true)).rows) }
        unread.keys.drop(READ_AT_ONCE)
      end

      def editing(sitting, by) = Preparing::EditingRecording.new(@archive, sitting, by: Core::Person.new(**by))

      def after(sitting, person, watches)
        Preparing::AfterClass.new(@archive, @archive.sittings.fetch(sitting), Core::Person.new(**person),
                                  (replay(sitting, captions: true) if watches))
      end

      def some(rows, says) = rows.empty? ? raise(Core::Refusal.new(:nothing_there, says)) : rows
      def title(sitting) = @archive.lessons.fetch(@archive.sittings.fetch(sitting)[:lesson_id])[:title]
      def titles(sitting) = replay(sitting).then { |one| one.shown.clean(one.recording.chapters.map { |chapter| chapter[:title] }) }

      # A class that is over stays as it was: who was there, what was written and who is called what is worked out once.
      def replays = @replays ||= Core::Recent.new(REPLAYS)

      # The same for all who watch, but for what each of them did.
      def happenings = @happenings ||= Core::Recent.new(REPLAYS)

      def happened(replay)
        captioned = replay.captioned
        cues = captioned.languages.flat_map { |lang| captioned.cues(lang) }
        Core::Recordings::Happened.new(replay.all, cues: cues, length: replay.recording.clock.length).to_h
      end

      # @param only [Array(Integer, Integer), nil] the stretch of the class that is watched
      def recording(sitting, only = nil, captions: false)
        found = @archive.recordings.recording(@archive.recordings.fetch(sitting),
                                              captions: captions) || raise(@archive.recordings.no_such_recording)
        only ? found.only(*only) : found
      end

      def replay(sitting, room: nil, viewer: nil, teaches: false, only: nil, captions: false)
        found = recording(sitting, only, captions: captions)
        room &&= Preparing::RecordedRooms.new(@archive, sitting, found).fetch(room, viewer, teaches: teaches)
        replays.fetch([sitting, room, only, captions, found.edits.to_h.hash]) do
          course = @archive.lessons.fetch(@archive.sittings.fetch(sitting)[:lesson_id])[:course_id]
          Store::Replay.new(@archive.log, sitting, found, cast: -> { Store::Casting.new(@archive).call(found, course) }, room: room)
        end
      end
    end
  end
end
