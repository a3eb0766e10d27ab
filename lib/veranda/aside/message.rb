# frozen_string_literal: true

module Veranda
  module Aside
    # What two of our own processes say to each other: a length and a Ruby value. Both ends are this very code and nobody else
    # can write to the pair of sockets between them.
    module Message
      HEAD = 'N'

      module_function

      # @param io [IO]
      # @param value [Object]
      def write(io, value)
        bytes = Marshal.dump(value)
        io.write([bytes.bytesize].pack(HEAD) + bytes)
        io.flush
      end

      # @return [Object, nil] nil when the other end has gone
      def read(io)
        head = io.read(4)
        return if head.nil? || head.bytesize < 4

        size = head.unpack1(HEAD)
        bytes = io.read(size)
        Marshal.load(bytes) if bytes&.bytesize == size # rubocop:disable Security/MarshalLoad
      end
    end
  end
end
