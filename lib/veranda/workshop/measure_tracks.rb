# frozen_string_literal: true

require 'que'
require 'tmpdir'

module Veranda
  module Workshop
    # Listens to the sounds of a class once they can be played, so that whoever edits sees how loud it was. Nobody waits for it.
    class MeasureTracks < Que::Job
      self.maximum_retry_count = 2
      # Hz that are enough for it, and bytes of one second of them.
      RATE = 4_000
      SECOND = 2 * RATE
      # dB below the loudest that count as nothing.
      RANGE = 60.0
      PATIENCE = 900

      # @param sitting [String] id
      def run(sitting)
        tracks = Work.archive.tracks
        tracks.unmeasured(sitting).each do |track|
          tracks.measured(track[:id], levels(Work.archive.files.path(track[:file])))
        end
      end

      private

      # @return [Array<Integer>] of each second, 0 to 100; none of what cannot be played
      def levels(path)
        Dir.mktmpdir('levels', Work.archive.files.scratch) do |dir|
          raw = File.join(dir, 'sound.raw')
          Tool.run('ffmpeg', '-nostdin', '-v', 'error', '-i', path, '-vn', '-af', "aresample=#{RATE}:async=1:first_pts=0", '-ac', '1',
                   '-f', 's16le', '-y', raw, dir: dir, seconds: PATIENCE)
          File.open(raw, 'rb') { |file| Array.new((file.size / SECOND.to_f).ceil) { level(file.read(SECOND)) } }
        end
      rescue Tool::Failed
        []
      end

      def level(bytes)
        peak = bytes.unpack('s<*').map(&:abs).max.to_i
        peak.zero? ? 0 : (100 * (1 + (20 * Math.log10(peak / 32_768.0) / RANGE))).round.clamp(0, 100)
      end

      def log_level(_elapsed) = :debug
    end
  end
end
