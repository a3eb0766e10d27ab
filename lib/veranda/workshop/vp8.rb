# frozen_string_literal: true

module Veranda
  module Workshop
    # What the packets of a picture say of themselves (RFC 3550, 5.1; RFC 7741, 4.2 and 4.3).
    module Vp8
      FIXED = 12
      # Bytes from the beginning of a packet in which all of it stands.
      HEAD = 128

      module_function

      # @param packet [String] its first bytes
      # @return [Boolean] whether a picture begins in it that needs no other before it
      def whole?(packet)
        described = packet.byteslice(start(packet), 8)&.bytes
        return false if described.nil? || described.empty? || (described[0] & 0x17) != 0x10

        frame = described[described_in(described)]
        !frame.nil? && frame.nobits?(0x01)
      end

      # Bytes before what a packet carries.
      def start(packet)
        first = packet.getbyte(0).to_i
        at = FIXED + 4 * (first & 0x0f)
        return at if first.nobits?(0x10)

        at + 4 + 4 * packet.byteslice(at + 2, 2).to_s.unpack1('n').to_i
      end
      private_class_method :start

      # Bytes in which a picture's packet describes what follows.
      def described_in(bytes)
        return 1 if bytes[0].nobits?(0x80)

        more = bytes[1].to_i
        long = more.nobits?(0x80) || bytes[2].to_i.nobits?(0x80) ? 0 : 1
        2 + (more[7] + long) + more[6] + (more[5] | more[4])
      end
      private_class_method :described_in
    end
  end
end
