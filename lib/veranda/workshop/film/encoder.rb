# frozen_string_literal: true

module Veranda
  module Workshop
    module Film
      # How a segment is encoded: what is drawn comes through a pipe with exact times, moving pictures are laid into it, and each format is
      # a file of its own. A picture that does not change is not encoded again, which halves the work.
      class Encoder
        # One picture in which nothing is left out, every so many s.
        WHOLE = 10
        COMMON = ['-fps_mode', 'passthrough', '-enc_time_base', '-1', '-force_key_frames', "expr:gte(t,n_forced*#{WHOLE})",
                  '-colorspace', 'bt709', '-color_primaries', 'bt709', '-color_trc', 'bt709', '-color_range', 'tv',
                  '-threads', '1', '-g', '100000'].freeze
        CODECS = {
          'mp4' => ['-c:v', 'libx264', '-preset', 'veryfast', '-crf', '23', '-tune', 'stillimage', '-bf', '0', '-video_track_timescale',
                    '1000', '-f', 'mp4'],
          'webm' => ['-c:v', 'libvpx-vp9', '-deadline', 'realtime', '-cpu-used', '8', '-row-mt', '1', '-tile-columns', '2',
                     '-tune-content', 'screen', '-crf', '32', '-b:v', '0', '-f', 'webm']
        }.freeze
        FORMATS = CODECS.keys.freeze
        # What browsers take for it: BT.709 in the narrow range.
        COLOURS = 'scale=out_color_matrix=bt709:out_range=tv:flags=fast_bilinear,format=yuv420p'
        # Bytes that wait in the pipe.
        PIPE = 1 << 20
        F_SETPIPE_SZ = 1031

        # @param layout [Core::Films::Layout]
        # @param formats [Array<String>]
        # @param inlays [Array<Hash>] see {Plan}, those of the segment
        # @param from [Integer] ms into the film where the segment begins
        # @param to [Integer]
        def initialize(layout, formats:, inlays:, from:, to:)
          @layout = layout
          @formats = formats
          @inlays = inlays
          @from = from
          @to = to
        end

        # @param outs [Hash{String => String}] paths by format
        # @return [Array<String>] the command
        def command(outs)
          ['ffmpeg', '-nostdin', '-v', 'error', '-y', '-f', 'matroska', '-probesize', '32', '-analyzeduration', '0', '-i', 'pipe:0',
           *@inlays.flat_map { |inlay| input(inlay) }, '-filter_complex', graph,
           *@formats.flat_map { |format| ['-map', "[#{format}]", '-an', *COMMON, *CODECS.fetch(format), outs.fetch(format)] }]
        end

        private

        # @return [Array(Integer, Integer)] when it is seen in the segment, from and to in ms of it
        def seen(inlay) = [[inlay[:from], @from].max - @from, [inlay[:to], @to].min - @from]

        def input(inlay)
          from, to = seen(inlay)
          at = inlay[:at] + ((from + @from - inlay[:from]) * inlay[:speed])
          # Of one that stands still a moment is enough.
          lasts = inlay[:speed].zero? ? 500 : (to - from) * inlay[:speed]
          ['-ss', seconds(at), '-t', seconds(lasts), '-f', inlay[:read], '-i', inlay[:path]]
        end

        def seconds(ms) = format('%.3f', ms / 1000.0)

        def graph
          laid = @inlays.each_with_index.map { |inlay, i| lay(inlay, i) }
          out = "[p#{@inlays.length}]#{COLOURS},split=#{@formats.length}#{@formats.map { |format| "[#{format}]" }.join}"
          ['[0:v]null[p0]', *laid, out].join(';')
        end

        def lay(inlay, number)
          x, y, w, h = @layout.box(inlay[:place])
          from, to = seen(inlay).map { |ms| seconds(ms) }
          # A face fills its box; of a screen or a clip all is seen.
          fit = "scale=#{w}:#{h}:force_original_aspect_ratio=#{inlay[:place] == 'paper' ? 'decrease' : "increase,crop=#{w}:#{h}"}"
          moving = inlay[:speed].zero? ? "select='eq(n,0)'" : "setpts=PTS/#{inlay[:speed]}"
          # One picture has to stand until the end.
          "[#{number + 1}:v]#{moving},setpts=PTS+#{from}/TB,#{fit},format=bgr0[i#{number}];" \
            "[p#{number}][i#{number}]overlay=x=#{x}+(#{w}-overlay_w)/2:y=#{y}+(#{h}-overlay_h)/2:format=rgb:" \
            "eof_action=#{inlay[:speed].zero? ? 'repeat' : 'pass'}:" \
            "enable='gte(t,#{from})*lt(t,#{to})'[p#{number + 1}]"
        end
      end
    end
  end
end
