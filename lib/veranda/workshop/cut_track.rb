# frozen_string_literal: true

require 'json'

module Veranda
  module Workshop
    # Takes a stretch out of a sound or picture without encoding anything anew. A picture begins with the first whole one within it (there
    # is one every eight seconds), so not a frame of what lies before or after is in the file.
    class CutTrack
      # s for one program.
      PATIENCE = 300
      # ms of one packet of sound: the last one must end in time.
      PACKET = 20

      # @param path [String] of a WebM file
      # @param dir [String] to work in
      def initialize(path, dir)
        @path = path
        @dir = dir
      end

      # @param from [Integer] ms into the file
      # @param to [Integer]
      # @return [Hash, nil] `{ path:, length: }`, the file beginning at `from`; nil when nothing of it can be heard or seen
      # @raise [Tool::Failed]
      def call(from, to)
        run('ffmpeg', '-nostdin', '-v', 'error', '-i', @path, '-ss', seconds(from), '-to', seconds(to - PACKET), '-map', '0', '-c', 'copy',
            '-cues_to_front', '1', '-y', out)
        length = (Float(probe.dig('format', 'duration')) * 1000).round
        { path: out, length: length } if length.positive?
      rescue TypeError, ArgumentError
        nil
      end

      private

      def out = File.join(@dir, 'part.webm')
      def seconds(ms) = format('%.3f', [ms, 0].max / 1000.0)
      def run(*command) = Tool.run(*command, dir: @dir, seconds: PATIENCE)
      def probe = JSON.parse(run('ffprobe', '-v', 'error', '-show_entries', 'format=duration', '-of', 'json', out))
    end
  end
end
