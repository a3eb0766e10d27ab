# frozen_string_literal: true

module Veranda
  module StandIns
    module Media
      # Puts sound and pictures into packets (RFC 3550, 5.1), over and over again from the beginning.
      class Rtp
        # Bytes of a picture in one packet.
        PIECE = 1_100
        # How a picture is described in front of each piece (RFC 7741, 4.2): the first, and those after it.
        FIRST, NEXT = "\x10".b.freeze, "\x00".b.freeze

        # @return [Float] s between two frames
        attr_reader :every

        # @param frames [Array<String>]
        # @param every [Float] s between two
        # @param type [Integer] of payload
        # @param source [Integer] by which it is told from others
        # @param rate [Integer] ticks of its clock in a second
        # @param pieces [Boolean] whether a frame is cut into pieces, as pictures are
        def initialize(frames, every:, type:, source:, rate:, pieces: false)
          @frames = frames
          @every = every
          @type = type
          @source = source
          @ticks = (every * rate).round
          @pieces = pieces
          @count = @number = 0
        end

        # @return [Array<String>] packets of the next frame
        def next
          frame = @frames[@count % @frames.length]
          stamp = @count * @ticks
          @count += 1
          pieces = @pieces ? cut(frame) : [frame]
          pieces.each_with_index.map { |piece, i| packet(piece, stamp, last: @pieces && i == pieces.length - 1) }
        end

        private

        def cut(frame)
          parts = frame.bytesize.fdiv(PIECE).ceil
          Array.new(parts) { |i| (i.zero? ? FIRST : NEXT) + frame.byteslice(i * PIECE, PIECE) }
        end

        def packet(piece, stamp, last:)
          @number += 1
          [0x80, @type | (last ? 0x80 : 0), @number & 0xffff, stamp & 0xffff_ffff, @source].pack('CCnNN') + piece
        end
      end
    end
  end
end
