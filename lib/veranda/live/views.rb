# frozen_string_literal: true

module Veranda
  module Live
    # What streams hold, in JSON, for those who come. That of a large one (a full board, a class of hundreds) is made once for many, a
    # little at a time, so that others have their turn in between; what has happened since follows as entries.
    #
    #   views.of(copy) #=> Kept(seq: 812, json: '{"pages":["p1"],…}', since: ["\x81…"])
    class Views
      # Bytes from which on one is kept.
      LARGE = 1 << 15
      # Entries that may follow one. With more than that it is made anew.
      BEHIND = 100
      # How many are kept; the one that nobody asked for longest goes first.
      MOST = 20
      # What is written of a list before others have their turn.
      SLICE = 25

      # @!attribute seq [Integer] of the last entry in it
      # @!attribute json [String]
      # @!attribute since [Array<String>] what followed, in frames as from {Frames.entry}
      Kept = Struct.new(:seq, :json, :since) do
        def head = seq + since.length
      end

      def initialize
        @kept = {}
      end

      # @param copy [Deciding::StreamCopy] that nobody adds to meanwhile
      # @return [Kept]
      def of(copy)
        kept = @kept.delete(copy.name)
        kept = made(copy) unless kept&.head == copy.seq
        return kept if kept.json.bytesize < LARGE

        @kept.shift if @kept.length >= MOST
        @kept[copy.name] = kept
      end

      # Something was added to a stream.
      # @param entry [Core::Streams::Entry]
      # @param frame [String] that tells of it
      def heard(entry, frame)
        kept = @kept[entry.stream] or return
        kept.since.length < BEHIND ? kept.since << frame : @kept.delete(entry.stream)
      end

      private

      def made(copy) = Kept.new(copy.seq, json(copy.state.view), [])

      def json(value)
        case value
        when Hash then "{#{value.map { |key, part| "#{JSON.generate(key.to_s)}:#{json(part)}" }.join(',')}}"
        when Array then value.length > SLICE ? "[#{slices(value).join(',')}]" : JSON.generate(value)
        else JSON.generate(value)
        end
      end

      def slices(list)
        list.each_slice(SLICE).map do |some|
          sleep 0
          JSON.generate(some)[1..-2]
        end
      end
    end
  end
end
