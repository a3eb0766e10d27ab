# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # What wishes cost between two people: much for those kept apart, nearly as much for two of a list of whom one should be in each room,
      # and less than one meeting in sum for all that is only to be mixed or levelled.
      #
      # That numbers are mixed when squares of differences within rooms are largest, and levelled when smallest, holds for rooms of one
      # size: the sum over a room is its size times the sum of squares less the square of the sum.
      class Likings
        APART = 1_000_000_000_000
        SPREAD = 10_000_000_000
        # The share of one meeting that soft wishes may cost together.
        SOFT = 0.5

        # @param wishes [Array<Wish>] those that are to be met
        # @param traits [Hash{String => Hash{String => String, Numeric}}] what is known of people, by its name
        # @param seated [Integer] pairs that will sit together
        def initialize(wishes, traits, seated)
          @apart = pairs(wishes.select { |wish| wish.kind == 'apart' })
          @lists = wishes.select(&:each?).map { |wish| wish.people.to_h { |person| [person, true] } }
          @soft = wishes.reject(&:hard?).map { |wish| [wish.kind == 'mix', traits[wish.by] || {}] }
          @spans = @soft.map { |_, known| span(known.values) }
          @unit = SOFT * Meetings::ONCE / [seated * @soft.length, 1].max
        end

        # @return [Boolean] whether anything is to be mixed or levelled
        def soft? = @soft.any?

        # @return [Float] what is between two seatings that differ in one soft wish, in meetings
        def grain = @unit / Meetings::ONCE

        # @return [Boolean] whether anything is wished that costs
        def any? = soft? || @apart.any? || @lists.any?

        # @return [Integer]
        def between(one, other)
          cost = @apart[[one, other]] ? APART : 0
          cost += SPREAD * @lists.count { |list| list[one] && list[other] }
          cost + (soft(one, other) * @unit).round
        end

        # @return [Float] between nothing and the number of soft wishes
        def soft(one, other)
          @soft.each_with_index.sum do |(mix, known), i|
            unlike = difference(known[one], known[other], @spans[i])
            next 0 if unlike.nil?

            mix ? 1 - unlike : unlike
          end
        end

        private

        def pairs(wishes)
          wishes.flat_map { |wish| wish.people.permutation(2).to_a }.to_h { |two| [two, true] }
        end

        # @return [Float, nil] 0 for alike to 1 for as unlike as can be
        def difference(one, other, span)
          return if one.nil? || other.nil?
          return one == other ? 0.0 : 1.0 unless one.is_a?(Numeric) && other.is_a?(Numeric)

          span.zero? ? 0.0 : ((one - other) / span)**2
        end

        def span(values)
          numbers = values.grep(Numeric)
          numbers.empty? ? 0.0 : (numbers.max - numbers.min).to_f
        end
      end
    end
  end
end
