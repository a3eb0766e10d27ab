# frozen_string_literal: true

require 'dry/schema'
require 'dry/types'

module Veranda
  module Core
    # The vocabulary of the contracts: what a number, a set of points or an id may be.
    module Types
      include Dry.Types()

      # Checked by a predicate of its own wherever it is used, see {Predicates}.
      Number = Nominal::Any
      # Whatever JSON can write; read by whoever knows what it is an answer to.
      Anything = Nominal::Any
      ID = Strict::String.constrained(format: /\A[\w-]{1,40}\z/)
      # A language as BCP 47 writes it, `en` or `pt-BR`.
      LANGUAGE = Strict::String.constrained(format: /\A[a-z]{2,3}(?:-[A-Za-z0-9]{2,8}){0,2}\z/)

      # How far from the corner of its page a mark may reach, in px on a 1600-wide page; pages grow no longer than this.
      REACH = 12_000

      # px of writing as it is kept; so small it gets only where whole pages are put side by side
      SMALLEST_KEPT = 3

      # Checks that dry-logic does not have. JSON cannot write Infinity, but `1e999` reads as it.
      module Predicates
        include Dry::Logic::Predicates

        # @param value [Numeric]
        def self.coordinate?(value)
          value.is_a?(Numeric) && value.finite? && value.abs <= REACH
        end

        # @param value [Integer] ms since the epoch, in years that a class may be in
        def self.moment?(value) = value.is_a?(Integer) && value.between?(0, 4_102_444_800_000)

        # @param value [String] what the clock on a wall shows, `2026-11-06T20:30`
        def self.wall_time?(value) = value.is_a?(String) && Calendar::WallTime.valid?(value)

        # @param value [Array] x and y in turn
        def self.points?(value)
          value.length.even? && value.all? { |number| coordinate?(number) }
        end

        # @param value [Numeric] px; thinner cannot be seen, wider hides what is beneath
        def self.pen_width?(value) = coordinate?(value) && value.between?(1, 60)

        # @param value [Numeric] px; smaller cannot be read on a laptop
        def self.type_size?(value) = coordinate?(value) && value.between?(14, 200)

        # @param value [Numeric] px, of writing that is on a board already
        def self.kept_size?(value) = coordinate?(value) && value.between?(SMALLEST_KEPT, 200)

        # @param value [Array] one pressure for each point
        def self.pressures?(value) = value.all? { |number| coordinate?(number) && number.between?(0, 1) }

        # @param value [Numeric] degrees
        def self.turn?(value) = coordinate?(value) && value.between?(-360, 360)

        # @param value [Numeric] anything that is measured
        def self.measure?(value) = value.is_a?(Numeric) && value.real? && value.finite? && value.abs <= 1e15

        # @param value [Array] how likely each part of a spinner is, against the others
        def self.weights?(value) = value.all? { |number| coordinate?(number) && number.positive? && number <= 1000 }

        # @param value [Numeric] a width or height
        def self.extent?(value)
          coordinate?(value) && value >= 0
        end
      end
    end
  end
end
