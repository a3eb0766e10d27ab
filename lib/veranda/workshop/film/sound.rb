# frozen_string_literal: true

module Veranda
  module Workshop
    module Film
      # All that is heard in a film, mixed once as a whole: joined from parts it would drift.
      class Sound
        # Pieces that one program mixes; what it made is mixed with the others.
        AT_ONCE = 48
        # Hz
        RATE = 48_000
        # s that a piece is faded in and out, against clicks.
        FADE = 0.005
        # Louder than that is held back.
        LOUDEST = 'alimiter=limit=0.95:level=0'
        CODECS = {
          'webm' => ['-c:a', 'libopus', '-b:a', '40k', '-application', 'voip', '-compression_level', '4', '-f', 'webm'],
          'mp4' => ['-c:a', 'aac', '-aac_coder', 'fast', '-b:a', '64k', '-f', 'mp4']
        }.freeze

        # @param plan [Hash] see {Plan}
        # @param folder [String]
        def initialize(plan, folder)
          @plan = plan
          @folder = folder
        end

        # @return [Boolean]
        def made? = @plan[:sounds].empty? || @plan[:formats].all? { |format| File.exist?(Film.sound(@folder, format)) }

        # @raise [Tool::Failed]
        def make
          return if made?

          groups = @plan[:sounds].each_slice(AT_ONCE).to_a
          pieces = groups.length == 1 ? groups.first : groups.each_with_index.map { |group, i| group(group, i) }
          parts = @plan[:formats].to_h { |format| [format, "#{Film.sound(@folder, format)}.part"] }
          Film.run(*mix(pieces, "apad,atrim=0:#{seconds(@plan[:length])},asplit=#{parts.length}#{parts.keys.map do |format|
            "[#{format}]"
          end.join}"),
                   *parts.flat_map { |format, part| ['-map', "[#{format}]", *CODECS.fetch(format), part] })
          parts.each { |format, part| File.rename(part, Film.sound(@folder, format)) }
        end

        private

        # @return [Hash] what came of a group, as one piece
        def group(pieces, number)
          path = File.join(@folder, "mix#{number}.flac")
          from, to = pieces.map { |piece| piece[:from] }.min, pieces.map { |piece| piece[:to] }.max
          unless File.exist?(path)
            Film.run(*mix(pieces.map do |piece|
              { **piece, from: piece[:from] - from }
            end, 'anull[o]'), '-map', '[o]', '-f', 'flac', "#{path}.part")
            File.rename("#{path}.part", path)
          end
          { path: path, read: 'flac', from: from, to: to, at: 0, speed: 1 }
        end

        def mix(pieces, after)
          inputs = pieces.flat_map do |piece|
            ['-ss', seconds(piece[:at]), '-t', seconds(length(piece) * piece[:speed]), '-f', piece[:read], '-i', piece[:path]]
          end
          heard = pieces.each_with_index.map { |piece, i| one(piece, i) }
          all = "#{pieces.each_index.map do |i|
            "[s#{i}]"
          end.join}amix=inputs=#{pieces.length}:normalize=0:dropout_transition=0,#{LOUDEST},#{after}"
          ['ffmpeg', '-nostdin', '-v', 'error', '-y', *inputs, '-filter_complex', [*heard, all].join(';')]
        end

        # A hole in it, where packets were lost, stays as long as it was.
        def one(piece, number)
          lasts = length(piece) / 1000.0
          tempo = piece[:speed] == 1 ? '' : "atempo=#{piece[:speed]},"
          "[#{number}:a]aresample=#{RATE}:async=1:first_pts=0,aformat=channel_layouts=mono,#{tempo}atrim=0:#{lasts}," \
            "afade=t=in:d=#{FADE},afade=t=out:st=#{[lasts - FADE, 0].max}:d=#{FADE},adelay=#{piece[:from]}:all=1[s#{number}]"
        end

        def length(piece) = piece[:to] - piece[:from]
        def seconds(ms) = format('%.3f', ms / 1000.0)
      end
    end
  end
end
