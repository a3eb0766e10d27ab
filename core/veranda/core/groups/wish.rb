# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # What is wished of a deal. Those in {HARD} are met or named as not to be met; the others as well as can be.
      #
      # - `together`, `apart`: those people in one room, each in another room
      # - `each`: one of those people in each room, as far as they go; `lead`: the same, and they lead it
      # - `mix`, `level`: people who differ, or are alike, in what is known by that name
      Wish = Struct.new(:kind, :people, :by, keyword_init: true) do
        # @param hash [Hash] `kind`, and `people` (ids) or `by` (what is known of people)
        # @return [Wish]
        def self.from(hash) = new(kind: hash[:kind], people: (hash[:people] || []).uniq.freeze, by: hash[:by]).freeze

        # @return [Wish] of those who are here
        def among(here) = self.class.new(kind: kind, people: people & here, by: by).freeze

        # @return [Boolean] whether one of its people is to be in each room
        def each? = %w[each lead].include?(kind)

        def hard? = self.class::HARD.include?(kind)
      end

      class Wish
        HARD = %w[together apart each lead].freeze
        KINDS = [*HARD, 'mix', 'level'].freeze
      end
    end
  end
end
