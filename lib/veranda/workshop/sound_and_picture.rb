# frozen_string_literal: true

require 'json'

module Veranda
  module Workshop
    # A sound or a clip: how long it is, a picture of it, and the shape of its loudness.
    class SoundAndPicture
      # Values in a waveform, and samples per second that it is made of.
      BARS = 240
      RATE = 4000
      # s; a longer one is not looked at to its end.
      LONGEST = 4 * 3600

      # @param path [String]
      # @param dir [String] to work in
      def initialize(path, dir)
        @path = path
        @dir = dir
      end

      # @return [Hash] `{ seconds:, w:, h:, waveform: [0..1], codecs: [String] }`
      # @raise [Tool::Failed] when it cannot be played
      def facts
        @facts ||= { seconds: seconds, w: picture&.fetch('width'), h: picture&.fetch('height'), waveform: sound ? waveform : [],
                     codecs: streams.map { |stream| stream['codec_name'] } }
      end

      # @return [String, nil] path of a picture from the first tenth of it
      def poster
        return unless picture

        made = File.join(@dir, 'poster.png')
        run('ffmpeg', '-nostdin', '-v', 'error', '-ss', (seconds * 0.1).round(2).to_s, '-i', @path, '-frames:v', '1', '-vf', "scale=#{Pdf::THUMBNAIL}:-2",
            '-y', made)
        made if File.exist?(made)
      end

      private

      def run(*command) = Tool.run(*command, dir: @dir, seconds: 120)

      def probe
        @probe ||= JSON.parse(run('ffprobe', '-v', 'error', '-protocol_whitelist', 'file', '-show_format', '-show_streams',
                                  '-of', 'json', @path))
      end

      def streams = probe['streams'] || []
      def picture = streams.find { |stream| stream['codec_type'] == 'video' && stream.dig('disposition', 'attached_pic') != 1 }
      def sound = streams.find { |stream| stream['codec_type'] == 'audio' }

      def seconds
        value = Float(probe.dig('format', 'duration') || streams.filter_map do |stream|
          stream['duration']
        end.first || raise(Tool::Failed, 'no length'))
        value.clamp(0, LONGEST).round(3)
      end

      # The greatest loudness in each of as many stretches as there are bars.
      def waveform
        raw = File.join(@dir, 'sound.raw')
        run('ffmpeg', '-nostdin', '-v', 'error', '-t', LONGEST.to_s, '-i', @path, '-vn', '-ac', '1', '-ar', RATE.to_s, '-f',
            's16le', '-y', raw)
        samples = File.binread(raw).unpack('s<*')
        return [] if samples.empty?

        samples.each_slice([samples.length.fdiv(BARS).ceil, 1].max).map { |part| (part.map(&:abs).max / 32_768.0).round(3) }
      end
    end
  end
end
