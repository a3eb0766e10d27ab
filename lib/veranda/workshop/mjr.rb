# frozen_string_literal: true

require 'json'

module Veranda
  module Workshop
    # What the media server has written of one sound or picture: the packets (RFC 3550) as they arrived, each with when it did. It may
    # have been cut off in the middle of one.
    #
    #   bytes  "MJR00002", 2 of length, a description as JSON; then for each packet
    #          "MEET", 4 of ms since the first, 2 of length, the packet
    class Mjr
      MAGIC = 'MJR00002'
      PACKET = 'MEET'
      # Ticks of a timestamp in a second (RFC 7587, 4.1; RFC 7741, 4.1).
      RATES = { 'a' => 48_000, 'v' => 90_000 }.freeze
      # Bytes of a packet before what it carries.
      RTP_HEAD = 12
      # Packets in one file: a picture has fewer in three hours.
      MOST = 3_000_000

      # ms; what is shorter is no sound and no picture.
      NOTICED = 150

      # It is none, or says too little.
      class Damaged < StandardError; end

      # Where a packet lies in the file, when it arrived, and what it says of itself.
      Packet = Struct.new(:at, :length, :arrival, :sequence, :stamp, :whole)

      # @param path [String]
      # @raise [Damaged]
      def initialize(path)
        @path = path
        File.open(path, 'rb') do |file|
          # Where the media server was killed, nothing of it may have come to the disk.
          raise Damaged, 'no recording' unless MAGIC.start_with?(file.read(MAGIC.length).to_s)

          length = file.read(2)&.unpack1('n')
          text = length && file.read(length).to_s
          @about = JSON.parse(text) if text && text.bytesize == length
          @start = file.pos
        end
      rescue JSON::ParserError
        raise Damaged, 'no description'
      end

      # @return [Boolean] whether nothing was sent, or nothing that anybody would notice
      def empty? = @about.nil? || packets.empty? || packets.last.arrival - packets.first.arrival < NOTICED

      # @return [Boolean] whether it is sound, and no picture
      def sound? = @about['t'] == 'a'

      # @return [Integer] when the first of {#packets} arrived, ms since the epoch
      def began_at
        @about['u'].is_a?(Integer) ? @about['u'] / 1000 + packets.first.arrival : raise(Damaged, 'no beginning')
      end

      # @return [Array<Packet>] in the order in which they were sent; of a picture from the first that can be seen by itself
      def packets
        @packets ||= begin
          rows = in_order(found)
          sound? ? rows : rows.drop_while { |packet| !packet.whole }
        end
      end

      # Writes it anew, with packets where they belong in time.
      # @param to [String] path
      # @param stamps [Array<Integer>] one for each of {#packets}
      def write(to, stamps)
        File.open(@path, 'rb') do |file|
          File.open(to, 'wb') do |out|
            out << file.read(@start)
            packets.zip(stamps) do |packet, stamp|
              file.pos = packet.at
              bytes = file.read(packet.length)
              bytes[4, 4] = [stamp % (1 << 32)].pack('N')
              out << PACKET << [packet.arrival, packet.length].pack('Nn') << bytes
            end
          end
        end
      end

      # @return [Array<Integer>] stamps that are right, see {Core::Recordings::Retiming}
      def retimed
        rate = RATES.fetch(@about['t']) { raise Damaged, 'neither sound nor picture' }
        Core::Recordings::Retiming.new(rate).call(packets.map(&:arrival), packets.map(&:stamp))
      end

      private

      def found
        rows = []
        File.open(@path, 'rb') do |file|
          file.pos = @start
          while rows.length < MOST && (head = file.read(10))
            break unless head.length == 10 && head.start_with?(PACKET)

            packet = packet_in(file, *head.unpack('x4Nn')) or break
            rows << packet if packet.length >= RTP_HEAD
          end
        end
        rows
      end

      # @return [Packet, nil] nil when the file ends within it
      def packet_in(file, arrival, length)
        at = file.pos
        head = file.read([length, Vp8::HEAD].min).to_s
        file.pos = at + length
        return if file.pos > file.size

        Packet.new(at, length, arrival, *(head.length >= RTP_HEAD ? head.unpack('x2nN') : [0, 0]), !sound? && Vp8.whole?(head))
      end

      # Some overtake others on the way; their numbers begin again from 0 after 65,535.
      def in_order(rows)
        number = rows.first&.sequence
        numbered = rows.each_with_index.map do |packet, i|
          step = (packet.sequence - number) % 65_536
          number += step > 32_768 ? step - 65_536 : step
          [number, i, packet]
        end
        numbered.sort_by! { |sent, i, _| [sent, i] }
        numbered.map(&:last)
      end
    end
  end
end
