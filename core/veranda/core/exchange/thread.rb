# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # What a few people write to one another, or to staff. Who reads it is fixed when it begins and never changes, so that
      # nothing that is decided later opens what was written in private.
      class Thread < Posts
        # How many people a thread may have, and how many threads one person may begin in a class.
        MOST_PEOPLE = 12
        MOST = 100

        # @return [Array<Hash>] `{ id:, name: }`, whoever began it first
        attr_reader :people
        # @return [Boolean] whether all staff of the class read and write in it
        attr_reader :staff

        def initialize(posts = {}, pinned = [], people: [], staff: false)
          super(posts, pinned)
          @people = people
          @staff = staff
        end

        # @return [Boolean]
        def begun? = @people.any?

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          return super unless entry.kind == 'thread_begun'

          @people, @staff = entry.body.values_at(:people, :staff)
          self
        end

        def to_h = { **super, people: @people, staff: @staff }
        def view = { **super, people: @people, staff: @staff }

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts) = new(by_id(facts[:posts]), facts[:pinned], people: facts[:people], staff: facts[:staff])
      end
    end
  end
end
