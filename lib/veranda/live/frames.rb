# frozen_string_literal: true

require 'protocol/websocket/text_frame'

module Veranda
  module Live
    # Turns messages into the very bytes that go over a WebSocket, once for all who get them.
    #
    #   bytes = Frames.message(t: 'pong')
    #
    # Servers send unmasked frames (RFC 6455, 5.1), so the same bytes do for every peer.
    module Frames
      module_function

      # @param facts [Hash]
      # @return [String] a complete text frame
      def message(**facts) = text(JSON.generate(facts))

      # @param entry [Core::Streams::Entry]
      # @return [String]
      def entry(entry)
        message(t: 'entry', stream: entry.stream, **plain(entry))
      end

      # @param entry [Core::Streams::Entry]
      # @return [Hash] what is told of it, on a stream that is known
      def plain(entry)
        { seq: entry.seq, at: entry.at, by: entry.actor, kind: entry.kind, body: entry.body, cmd: entry.command_id }
      end

      # @param json [String]
      # @return [String]
      def text(json)
        buffer = StringIO.new(String.new(encoding: Encoding::BINARY))
        frame = ::Protocol::WebSocket::TextFrame.new
        frame.pack(json)
        frame.write(buffer)
        buffer.string.freeze
      end
    end
  end
end
