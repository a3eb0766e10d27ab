# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # What concerns one person in a class and nobody else: the place they are in, and the threads.
      class OwnFacts
        # @return [String, nil] see {Places}
        attr_reader :place
        # @return [Array<Hash>] `{ id:, people:, staff: }` of the threads they are in, see {Exchange::Thread}
        attr_reader :threads

        def initialize
          @threads = []
        end

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          case entry.kind
          when 'placed' then @place = entry.body[:place]
          when 'thread_begun' then @threads << entry.body
          end
          self
        end

        # @return [Integer] how much there is to write down
        def size = 1 + @threads.length

        def to_h = { place: @place, threads: @threads }
        alias view to_h

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts) = new.tap { |own| own.send(:restore, facts) }

        private

        def restore(facts)
          @place = facts[:place]
          @threads = facts[:threads] || []
        end
      end
    end
  end
end
