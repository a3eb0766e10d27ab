# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # What concerns one person in a class and nobody else: for now, the place they are in.
      class OwnFacts
        # @return [String, nil] see {Places}
        attr_reader :place

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          @place = entry.body[:place] if entry.kind == 'placed'
          self
        end

        # @return [Integer] how much there is to write down
        def size = 1

        def to_h = { place: @place }
        alias view to_h

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts) = new.tap { |own| own.instance_variable_set(:@place, facts[:place]) }
      end
    end
  end
end
