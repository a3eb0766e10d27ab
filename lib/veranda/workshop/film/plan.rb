# frozen_string_literal: true

require 'json'

module Veranda
  module Workshop
    module Film
      # All that is needed to make a film of a recording, written down so that it can be made without a database, in parts, and go on after
      # it was cut off. It holds what {Core::Recordings::Shown} lets through and no more.
      class Plan
        # How captions go with a film: as something that can be switched on, in the picture, or not at all.
        CAPTIONS = %w[track burnt none].freeze
        # s to look at a file.
        PATIENCE = 60

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
          @dir = dir
        end

        # @return [Hash] plain values, see {Reel}, {Sound} and {Join}
        def call
          { sitting: @sitting.id, title: @replay.shown.clean(@sitting.title.to_s), length: @clock.length, stretches: @clock.stretches,
            formats: @wishes[:formats],
            layout: { people: rows.any?, captions: burnt.any? }, told: told, inlays: inlays, names: names, captions: burnt,
            tracks: beside, chapters: @replay.shown.clean(@recording.chapters), sounds: sounds, pictures: pictures }
        end

        private

        def told = @told ||= @replay.all
        def paper = @paper ||= Core::Films::OnPaper.new(sitting: @sitting.id, told: told, clock: @clock)
        def pieces_of(track) = Core::Films::Pieces.of_track(@clock, began_at: track[:began_at] + track[:start], length: track[:length])

        # Sounds and pictures that may be given out and can be played, by whom they are called in the recording.
        def tracks
          @tracks ||= Preparing::TracksLeft.new(@archive, @recording).given.filter_map do |track|
            path = @archive.files.path(track[:file])
            facts = probed(path) or next
            { kind: track[:kind], began_at: track[:began_at], person: @replay.shown.clean({ id: track[:person_id] })[:id], path: path,
              **facts }
          end
        end

        # @return [Hash, nil] `{ start:, length:, sound:, picture: }`, ms; nil of what cannot be played
        def probed(path)
          told = JSON.parse(Tool.run('ffprobe', '-v', 'error', '-protocol_whitelist', 'file', '-show_entries',
                                     'format=start_time,duration:stream=codec_type',
                                     '-of', 'json', path, dir: @dir, seconds: PATIENCE))
          kinds = told['streams'].map { |stream| stream['codec_type'] }
          start, length = told['format'].values_at('start_time', 'duration').map { |text| (Float(text) * 1000).round }
          { start: start, length: length - start, sound: kinds.include?('audio'), picture: kinds.include?('video') }
        rescue Tool::Failed, ArgumentError, TypeError, JSON::ParserError
          nil
        end

        # Who is seen when and where.
        def rows
          @rows ||= Core::Films::WhoIsSeen.new(
            tracks.select { |track| track[:kind] == 'picture' }.flat_map do |track|
              pieces_of(track).map do |piece|
                { **piece, **track.slice(:person, :path) }
              end
            end,
            staff: people.select { |person| Core::Person::STAFF.include?(person[:role]) }.map { |person| person[:id] },
            spoke: told.select { |one| one[:kind] == 'spoke' }.map { |one| one.values_at(:by, :t) }, large: paper.large
          ).slots
        end

        def people
          @people ||= @replay.shown.clean(@replay.people.filter_map { |id| @sitting.seats[id] }
                                                 .map { |seat| { id: seat.id, name: seat.name, role: seat.role } })
        end

        def names
          called = people.to_h { |person| person.values_at(:id, :name) }
          rows.map do |row|
            { from: row[:from], to: row[:to], names: row[:slots].map do |one|
              one && (called[one[:person]] || 'Somebody')
            end }
          end
        end

        def inlays
          faces + screens + clips.select { |clip| clip[:front] && clip[:picture] }.flat_map { |clip| on_paper(clip[:pieces], clip[:path]) }
        end

        def faces
          rows.flat_map do |row|
            row[:slots].each_with_index.flat_map do |one, slot|
              if one
                Core::Films::Pieces.within([one], row[:from], row[:to]).map do |piece|
                  { **piece.slice(:from, :to, :at, :speed), place: slot, path: one[:path] }
                end
              else
                []
              end
            end
          end
        end

        def screens
          paper.screens.flat_map do |shared|
            tracks.select { |track| track[:kind] == 'screen' && track[:picture] && track[:person] == shared[:person] }.flat_map do |track|
              on_paper(Core::Films::Pieces.within(pieces_of(track), shared[:from], shared[:to]), track[:path])
            end
          end
        end

        def on_paper(pieces, path) = pieces.map { |piece| { **piece, place: 'paper', path: path } }

        # What was played, as far as it is kept here.
        def clips
          @clips ||= paper.clips.filter_map do |played|
            clip = played[:clip]
            file = clip[:material] && original(clip) or next
            { **played.slice(:front, :pieces), path: file, **(probed(file) || next) }
          end
        end

        def original(clip)
          row = @archive.materials.version(*clip.values_at(:material, :version))
          @archive.files.path(row[:original]) if row[:original] && @archive.files.exist?(row[:original])
        rescue Core::Refusal
          nil
        end

        def sounds
          spoken = tracks.select { |track| track[:sound] }.flat_map do |track|
            pieces_of(track).map do |piece|
              { **piece, path: track[:path] }
            end
          end
          played = clips.select { |clip| clip[:sound] }.flat_map { |clip| clip[:pieces].map { |piece| { **piece, path: clip[:path] } } }
          (spoken + played).select { |piece| piece[:speed].positive? }.sort_by { |piece| piece[:from] }
        end

        def captioned = @captioned ||= @replay.captioned

        def burnt
          @burnt ||= @wishes[:captions] == 'burnt' ? captioned.cues(@wishes[:lang]).map { |cue| cue.to_h.slice(:from, :to, :words) } : []
        end

        def beside
          return [] unless @wishes[:captions] == 'track'

          captioned.languages.map { |lang| { lang: lang, lines: captioned.cues(lang).map { |cue| cue.to_h.slice(:from, :to, :words) } } }
        end

        # Of all slides and pictures that are on any page.
        def pictures
          Preparing::Shows.slides(told).filter_map do |slide|
            row = @archive.materials.slide(*slide)
            { material: slide[0], version: slide[1], slide: slide[2], path: @archive.files.path(row[:picture]), type: row[:type] }
          rescue Core::Refusal
            nil
          end
        end
      end
    end
  end
end
