# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Writes captions as WebVTT (https://www.w3.org/TR/webvtt1/) and as SubRip.
      module WebVtt
        TYPE = 'text/vtt'

        module_function

        # @param cues [Array<Cue>] in order
        # @return [String]
        def write(cues)
          ["WEBVTT\n", *cues.map { |cue| "#{time(cue.from, '.')} --> #{time(cue.to, '.')}\n#{escaped(cue.words)}\n" }].join("\n")
        end

        # @return [String]
        def srt(cues)
          cues.each_with_index.map do |cue, i|
            "#{i + 1}\n#{time(cue.from, ',')} --> #{time(cue.to, ',')}\n#{plain(cue.words)}\n"
          end.join("\n")
        end

        # @param ms [Integer]
        # @return [String] `01:02:03.004`
        def time(ms, point)
          format('%<h>02d:%<m>02d:%<s>02d%<point>s%<ms>03d', h: ms / 3_600_000, m: ms / 60_000 % 60, s: ms / 1000 % 60, point: point,
                                                             ms: ms % 1000)
        end

        # An empty line would end the cue, an arrow would be taken for a time.
        def lines(words) = words.gsub(/\n{2,}/, "\n").gsub('-->', '->')
        def escaped(words) = lines(words).gsub('&', '&amp;').gsub('<', '&lt;').gsub('>', '&gt;')

        # SubRip has no way to write what players take for markup: tags, and `{\an8}` and the like. So brackets that look alike stand there.
        def plain(words) = lines(words).gsub(%r{<(/?[a-z][^<>]*)>}i, '‹\1›').gsub(/\{(?=\\)/, '{ ')
        private_class_method :lines, :escaped, :plain
      end
    end
  end
end
