# frozen_string_literal: true

require 'fileutils'

module Veranda
  module StandIns
    module Media
      # The voices and pictures of stand-ins: made once on this machine, and kept.
      class Made
        # s, after which all begins again.
        LASTS = 8
        PICTURES = 12
        # Some speak lower, some higher (Hz).
        PITCHES = [105, 120, 135, 150, 170, 190, 210, 230].freeze
        # Grounds of pictures.
        GROUNDS = %w[0x2F5D62 0x7A5C3E 0x4A5A8A 0x6B4E71 0x3F6B4A 0x8A5A44].freeze
        # s for one program.
        PATIENCE = 60

        # @param folder [String]
        # @param font [String] path
        def initialize(folder, font:)
          @folder = File.expand_path(folder)
          @font = font
          FileUtils.mkdir_p(@folder)
        end

        # @param index [Integer] which of them
        # @return [Array<String>] packets of 20 ms
        def voice(index)
          pitch = PITCHES[index % PITCHES.length]
          Frames.sounds(kept("voice-#{pitch}.ogg") { |path| draw_voice(pitch, path) })
        end

        # @param initials [String] letters
        # @param index [Integer]
        # @return [Array<String>] pictures, {PICTURES} of them in a second
        def picture(initials, index)
          letters = initials[/\A\p{L}{1,2}\z/] || '-'
          Frames.pictures(kept("picture-#{letters}-#{index % GROUNDS.length}.ivf") { |path| draw_picture(letters, index, path) })
        end

        private

        def kept(name)
          path = File.join(@folder, name)
          return path if File.size?(path)

          yield "#{path}.part"
          File.rename("#{path}.part", path)
          path
        end

        # Some harmonics that swell like syllables, and now and then a breath.
        def draw_voice(pitch, to)
          tone = [[1, 0.25], [2, 0.2], [5, 0.1]].map { |times, loud| "#{loud}*sin(2*PI*#{pitch * times}*t)" }.join('+')
          wave = "(#{tone})*(0.55+0.45*sin(2*PI*3.3*t))*lt(mod(t\\,4)\\,3.6)"
          run('-f', 'lavfi', '-i', "aevalsrc='#{wave}':s=48000:d=#{LASTS}",
              '-c:a', 'libopus', '-b:a', '24k', '-frame_duration', '20', '-vbr', 'off', '-f', 'ogg', to)
        end

        # Initials, and a mark that moves; whole pictures every second, since nobody asks for them.
        def draw_picture(letters, index, to)
          drawn = "drawtext=fontfile=#{@font}:text=#{letters}:fontsize=110:fontcolor=white:x=(w-tw)/2:y=(h-th)/2-14," \
                  "drawbox=x='mod(t*40\\,320)':y=206:w=22:h=22:color=white:t=fill"
          run('-f', 'lavfi', '-i', "color=c=#{GROUNDS[index % GROUNDS.length]}:s=320x240:r=#{PICTURES}:d=#{LASTS}", '-vf', drawn,
              '-c:v', 'libvpx', '-b:v', '120k', '-g', PICTURES.to_s, '-deadline', 'realtime', '-cpu-used', '8', '-f', 'ivf', to)
        end

        def run(*arguments)
          Workshop::Tool.run('ffmpeg', '-nostdin', '-v', 'error', '-y', *arguments, dir: @folder, seconds: PATIENCE)
        end
      end
    end
  end
end
