# frozen_string_literal: true

module Veranda
  module Workshop
    module Film
      # Pictures as they are, each with its time, for a program that encodes them. A stream of plain pictures has no times, so they go as
      # the least Matroska there is (RFC 9559): a head, and a cluster for each picture.
      class RawFrames
        # Of elements (RFC 9559, 5.1).
        EBML, SEGMENT, INFO, SCALE, TRACKS, TRACK, CLUSTER, STAMP, BLOCK =
          %w[1A45DFA3 18538067 1549A966 2AD7B1 1654AE6B AE 1F43B675 E7 A3].map { |hex| [hex].pack('H*') }
        NUMBER, UID, KIND, CODEC, VIDEO, WIDTH, HEIGHT, COLOURS = %w[D7 73C5 83 86 E0 B0 BA 2EB524].map { |hex| [hex].pack('H*') }
        DOCTYPE, WRITER, MUXER = %w[4282 5741 4D80].map { |hex| [hex].pack('H*') }
        UNKNOWN = "\x01\xFF\xFF\xFF\xFF\xFF\xFF\xFF".b
        # The one track, no time of its own, and that it stands alone.
        PLAIN = "\x81\x00\x00\x80".b
        # ns in a ms
        MS = 1_000_000

        # @param io [IO]
        def initialize(io, w:, h:)
          @io = io
          video = element(VIDEO, element(WIDTH, number(w)) + element(HEIGHT, number(h)) + element(COLOURS, "BGR\0".b))
          track = element(TRACK, element(NUMBER, number(1)) + element(UID, number(1)) + element(KIND, number(1)) +
                                 element(CODEC, 'V_UNCOMPRESSED') + video)
          info = element(INFO, element(SCALE, number(MS)) + element(MUXER, 'Veranda') + element(WRITER, 'Veranda'))
          @io.write(element(EBML, element(DOCTYPE, 'matroska')), SEGMENT, UNKNOWN, info, element(TRACKS, track))
        end

        # @param time [Integer] ms
        # @param bytes [String] blue, green, red and nothing for each point, row by row
        def write(time, bytes)
          stamp = element(STAMP, number(time))
          block = BLOCK + size(bytes.bytesize + PLAIN.bytesize) + PLAIN
          @io.write(CLUSTER, size(stamp.bytesize + block.bytesize + bytes.bytesize), stamp, block, bytes)
        end

        private

        def element(id, content) = id + size(content.bytesize) + content.b
        def size(bytes) = [bytes | (1 << 56)].pack('Q>')
        def number(value) = [value].pack('Q>')
      end
    end
  end
end
