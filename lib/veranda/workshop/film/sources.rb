# frozen_string_literal: true

require 'json'

module Veranda
  module Workshop
    module Film
      # The files that sound and moving pictures of a film come from: what people sent, and what was played. What cannot be read is
      # left out.
      class Sources
        # What files are read as, by the first name that the program has for it. What only points to other files is none of these.
        READ = %w[matroska mov mp3 ogg wav flac].freeze
        ASKED = 'format=format_name,start_time,duration:stream=codec_type'
        # s to look at a file.
        PATIENCE = 60
        # ms before the end of a clip at which there is a last picture to be seen.
        LAST = 100

        # @param archive [Store::Archive]
        # @param replay [Store::Replay]
        # @param dir [String] to work in
        def initialize(archive, replay, dir)
          @archive = archive
          @replay = replay
          @clock = replay.recording.clock
          @dir = dir
        end

        # Sounds and pictures that may be given out, by whom they are called in the recording.
        # @return [Array<Hash>] `{ kind:, person:, path:, read:, sound:, picture:, pieces: }`, see {Core::Films::Pieces}
        def tracks
          @tracks ||= Preparing::TracksLeft.new(@archive, @replay.recording).given.filter_map do |track|
            path = @archive.files.path(track[:file])
            facts = probed(path) or next
            pieces = Core::Films::Pieces.of_track(@clock, began_at: track[:began_at] + facts[:start], length: facts[:length])
            { kind: track[:kind], person: @replay.shown.clean({ id: track[:person_id] })[:id], path: path, pieces: pieces,
              **facts.slice(:read, :sound, :picture) }
          end
        end

        # @param played [Array<Hash>] see {Core::Films::OnPaper#clips}
        # @return [Array<Hash>] `{ front:, path:, read:, sound:, picture:, pieces: }` of what is kept here
        def clips(played)
          played.filter_map do |one|
            path = one[:clip][:material] && original(one[:clip]) or next
            facts = probed(path) or next
            pieces = one[:pieces].map { |piece| { **piece, at: piece[:at].clamp(0, [facts[:length] - LAST, 0].max) } }
            { front: one[:front], path: path, pieces: pieces, **facts.slice(:read, :sound, :picture) }
          end
        end

        private

        def original(clip)
          row = @archive.materials.version(*clip.values_at(:material, :version))
          @archive.files.path(row[:original]) if row[:original] && @archive.files.exist?(row[:original])
        rescue Core::Refusal
          nil
        end

        # @return [Hash, nil] `{ read:, start:, length:, sound:, picture: }`, ms; nil of what cannot be played
        def probed(path) = (@probed ||= {}).fetch(path) { @probed[path] = probe(path) }

        def probe(path)
          told = JSON.parse(Tool.run('ffprobe', '-v', 'error', '-protocol_whitelist', 'file', '-show_entries', ASKED, '-of', 'json', path,
                                     dir: @dir, seconds: PATIENCE))
          read = told['format']['format_name'].to_s.split(',').first
          return unless READ.include?(read)

          kinds = told['streams'].map { |stream| stream['codec_type'] }
          start, length = told['format'].values_at('start_time', 'duration').map { |text| (Float(text) * 1000).round }
          { read: read, start: start, length: length - start, sound: kinds.include?('audio'), picture: kinds.include?('video') }
        rescue Tool::Failed, ArgumentError, TypeError, JSON::ParserError
          nil
        end
      end
    end
  end
end
