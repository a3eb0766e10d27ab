# frozen_string_literal: true

require 'async/websocket/adapters/rack'

module Veranda
  module Live
    # One client's WebSocket. Reads whole messages and writes prepared bytes.
    #
    # A message over {LIMIT} is answered with {TooLarge} and the connection goes on; a frame
    # over {FRAME_LIMIT} is not even read.
    class WebSocketLine < Async::WebSocket::Connection
      LIMIT = 64 * 1024
      FRAME_LIMIT = 1 << 20

      class TooLarge < StandardError; end

      # Lets ready-made bytes through a framer.
      Raw = Struct.new(:bytes) do
        def write(stream) = stream.write(bytes)
      end

      # @return [String, nil] the next message; nil when the client has gone
      # @raise [TooLarge]
      def hear
        message = read or return
        text = message.buffer
        raise TooLarge if text.bytesize > LIMIT

        text
      end

      # @param bytes [String] one or more complete frames
      def write_bytes(bytes)
        @framer.write_frame(Raw.new(bytes))
        @framer.flush
      end

      # Hides the framer's own reading, to bound the size of a frame and of a fragmented message.
      def read_frame
        return if closed?

        frame = @framer.read_frame(FRAME_LIMIT)
        raise ::Protocol::WebSocket::ProtocolError, 'Too many fragments' if @frames.sum(&:length) > FRAME_LIMIT

        frame.apply(self)
        frame
      end
    end
  end
end
