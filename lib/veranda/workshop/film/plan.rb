# frozen_string_literal: true

module Veranda
  module Workshop
    module Film
      # All that is needed to make a film of a recording, written down so that it can be made without a database, in parts, and go on
      # after it was cut off. It holds what {Core::Recordings::Shown} lets through and no more.
      class Plan
        # How captions go with a film: as something that can be switched on, in the picture, or not at all.
        CAPTIONS = %w[track burnt none].freeze

        # @param archive [Store::Archive]
        # @param replay [Store::Replay] with captions
        # @param wishes [Hash] `{ formats:, captions:, lang: }`
        # @param dir [String] to work in
        def initialize(archive, replay, wishes, dir:)
          @archive = archive
          @replay = replay
          @recording = replay.recording
          @clock = @recording.clock
          @sitting = @recording.sitting
          @wishes = wishes
          @sources = Sources.new(archive, replay, dir)
        end

        # @return [Hash] plain values, see {Reel}, {Sound} and {Join}
        def call
          { sitting: @sitting.id, title: @replay.shown.clean(@sitting.title.to_s), length: @clock.length, stretches: @clock.stretches,
            formats: @wishes[:formats], layout: { people: rows.any?, captions: burnt.any? }, told: told, names: names,
            inlays: faces + screens + played, captions: burnt, tracks: beside, chapters: @replay.shown.clean(@recording.chapters),
            sounds: sounds, pictures: Preparing::Shows.pictures(@archive, told) }
        end

        private

        def told = @told ||= @replay.all
        def paper = @paper ||= Core::Films::OnPaper.new(sitting: @sitting.id, told: told, clock: @clock)
        def clips = @clips ||= @sources.clips(paper.clips)
        def kind(name) = @sources.tracks.select { |track| track[:kind] == name && (name == 'sound' || track[:picture]) }

        # Pieces of files, each with the file.
        def pieces_of(files, *more)
          files.flat_map { |file| file[:pieces].map { |piece| { **piece, **file.slice(:path, :read, *more) } } }
        end

        # Who is seen when and where.
        def rows
          @rows ||= Core::Films::WhoIsSeen.new(
            pieces_of(kind('picture'), :person), staff: staff, large: paper.large,
                                                 spoke: told.select { |one| one[:kind] == 'spoke' }.map { |one| one.values_at(:by, :t) }
          ).slots
        end

        def staff = people.select { |one| Core::Person::STAFF.include?(one[:role]) }.map { |one| one[:id] }

        def people
          @people ||= @replay.shown.clean(@replay.people.filter_map { |id| @sitting.seats[id] }
                                                 .map { |seat| { id: seat.id, name: seat.name, role: seat.role } })
        end

        def names
          called = people.to_h { |person| person.values_at(:id, :name) }
          rows.map do |row|
            { from: row[:from], to: row[:to], names: row[:slots].map { |one| one && (called[one[:person]] || 'Somebody') } }
          end
        end

        def faces
          rows.flat_map do |row|
            row[:slots].each_with_index.select(&:first).flat_map do |one, slot|
              Core::Films::Pieces.within([one], row[:from], row[:to]).map { |piece| { **piece.except(:person), place: slot } }
            end
          end
        end

        def screens
          paper.screens.flat_map do |shared|
            pieces = pieces_of(kind('screen').select { |track| track[:person] == shared[:person] })
            on_paper(Core::Films::Pieces.within(pieces, shared[:from], shared[:to]))
          end
        end

        def played = on_paper(pieces_of(clips.select { |clip| clip[:front] && clip[:picture] }))
        def on_paper(pieces) = pieces.map { |piece| { **piece, place: 'paper' } }

        def sounds
          heard = pieces_of((@sources.tracks + clips).select { |file| file[:sound] })
          heard.select { |piece| piece[:speed].positive? }.sort_by { |piece| piece[:from] }
        end

        def captioned = @captioned ||= @replay.captioned
        def lines(lang) = captioned.cues(lang).map { |cue| cue.to_h.slice(:from, :to, :words) }
        def burnt = @burnt ||= @wishes[:captions] == 'burnt' ? lines(@wishes[:lang]) : []
        def beside = @wishes[:captions] == 'track' ? captioned.languages.map { |lang| { lang: lang, lines: lines(lang) } } : []
      end
    end
  end
end
