# frozen_string_literal: true

module Veranda
  module Stage
    # Where somebody is in a class, and what of sound and picture they may do from there.
    #
    # - `sitting`, `place`: ids; no place while they are nowhere
    # - `rights`: those of the class, and `:screen` while they may share one and do
    # - `shares`: whether it is their screen that is shared there
    # - `recorded`: whether what is said there is recorded
    # - `address`: `{ voice:, screen:, rooms: }`, what of theirs goes to which other places; nil when nothing does
    # - `large`: id of who is large for everybody there
    # - `hears`: places that they may hear without being in them
    Standing = Struct.new(:sitting, :place, :rights, :shares, :recorded, :address, :large, :hears, keyword_init: true) do
      # @param rights [Hash{Symbol => Core::Rights::Answer}]
      # @return [Standing] the same with what they may do there
      def with(rights)
        allowed = rights.transform_values(&:allowed?)
        dup.tap { |standing| standing.rights = { **allowed, screen: shares && allowed[:share] } }
      end

      # @return [Boolean] whether it is where they were before
      def same_place?(other) = !other.nil? && [sitting, place] == [other.sitting, other.place]
    end
  end
end
