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

      class TooLarge < StandardError
        # @return [String] its beginning
        attr_reader :text

        def initialize(text)
          @text = text
          super('A message was too large')
        end
      end

      # Lets ready-made bytes through a framer.
      Raw = Struct.new(:bytes) do
        def write(stream) = stream.write(bytes)
      end

      # @return [BasicSocket, nil] what it runs over
      attr_writer :socket

      # Ends the connection for whoever waits for it: shut and not closed, since Ruby does not wake a fiber that waits for a socket when
      # another closes it. Whoever reads comes to the end, and closes it.
      def hang_up
        @socket ? @socket.shutdown : close
      rescue SystemCallError, IOError
        nil
      end

      # @return [String, nil] the next message; nil when the client has gone
      # @raise [TooLarge]
      def hear
        message = read or return
        text = message.buffer
        raise TooLarge, text.byteslice(0, 1_000) if text.bytesize > LIMIT

        text
      end

      # @param bytes [String] one or more complete frames
      def write_bytes(bytes)
        @framer.write_frame(Raw.new(bytes))
        @framer.flush
      end

      # Takes the mask off, eight bytes at a time; the library's own way goes byte by byte on
      # Ruby 3.1 and takes longer than reading the JSON.
      # @param frames [Array<::Protocol::WebSocket::Frame>]
      # @return [String]
      def unpack_frames(frames)
        frames.map { |frame| frame.mask ? unmasked(frame.payload, frame.mask) : frame.payload }.join.force_encoding(Encoding::UTF_8)
      end

      # Hides the framer's own reading, to bound the size of a frame and of a fragmented message.
      def read_frame
        return if closed?

        frame = @framer.read_frame(FRAME_LIMIT)
        raise ::Protocol::WebSocket::ProtocolError, 'Too many fragments' if @frames.sum(&:length) > FRAME_LIMIT

        frame.apply(self)
        frame
      end

      private

      def unmasked(payload, mask)
        key = (mask * 2).unpack1('Q<')
        size = payload.bytesize
        words = (payload + ("\0" * (-size % 8))).unpack('Q<*')
        words.map! { |word| word ^ key }.pack('Q<*').byteslice(0, size)
      end
    end
  end
end
