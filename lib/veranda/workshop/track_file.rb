# frozen_string_literal: true

require 'json'

module Veranda
  module Workshop
    # One sound or picture of a class, made from what the media server wrote: put right in time, and in a file that every browser plays
    # (WebM with Opus or VP8), without encoding anything anew.
    class TrackFile
      # s for one program.
      PATIENCE = 600

      # @param path [String] see {Mjr}
      # @param dir [String] to work in
      def initialize(path, dir)
        @taken = Mjr.new(path)
        @dir = dir
      end

      # @return [Hash, nil] `{ path:, kind:, began_at:, length: }`, with ms since the epoch and ms; nil when nothing was sent
      # @raise [Mjr::Damaged, Tool::Failed]
      def call
        return if @taken.empty?

        @taken.write(path('retimed.mjr'), @taken.retimed)
        run('janus-pp-rec', path('retimed.mjr'), path(raw))
        # What is looked up when one goes to a moment comes first.
        run('ffmpeg', '-nostdin', '-v', 'error', '-i', path(raw), '-map', '0', '-c', 'copy', '-cues_to_front', '1', '-y',
            path('track.webm'))
        { path: path('track.webm'), kind: @taken.sound? ? 'sound' : 'picture', began_at: @taken.began_at, length: length }
      end

      private

      def raw = @taken.sound? ? 'raw.opus' : 'raw.webm'
      def path(name) = File.join(@dir, name)
      def run(*command) = Tool.run(*command, dir: @dir, seconds: PATIENCE)

      def length
        told = run('ffprobe', '-v', 'error', '-show_entries', 'format=duration', '-of', 'json', path('track.webm'))
        (Float(JSON.parse(told).dig('format', 'duration')) * 1000).round
      rescue TypeError, ArgumentError
        raise Tool::Failed, 'no length'
      end
    end
  end
end
