# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # A finite field: its elements are the numbers below its order, read as polynomials over the integers modulo a prime, digit by digit.
      class GaloisField
        # @param order [Integer]
        # @return [Boolean] whether there is such a field, that is, whether the order is a power of a prime
        def self.order?(order) = order > 1 && prime_factors(order).uniq.length == 1

        def self.prime_factors(number)
          (2..number).flat_map do |divisor|
            found = []
            while (number % divisor).zero?
              found << divisor
              number /= divisor
            end
            found
          end
        end
        private_class_method :prime_factors

        attr_reader :order

        # @param order [Integer] a power of a prime
        # @raise [ArgumentError]
        def initialize(order)
          raise ArgumentError, "There is no field of #{order} elements." unless self.class.order?(order)

          @order = order
          @prime = (2..order).find { |divisor| (order % divisor).zero? }
          @digits = Array.new(order) { |number| digits(number) }
          @modulus = irreducible
        end

        # @return [Integer]
        def add(one, other) = number(@digits[one].zip(@digits[other]).map { |two| two.sum % @prime })

        # @return [Integer]
        def multiply(one, other) = number(product(@digits[one], @digits[other], @modulus))

        private

        def degree = @degree ||= Math.log(@order, @prime).round
        def digits(number) = Array.new(degree) { |place| (number / (@prime**place)) % @prime }
        def number(digits) = digits.each_with_index.sum { |digit, place| digit * (@prime**place) }

        # A polynomial `x^degree = modulus` by which no two elements but zero have the product zero.
        def irreducible
          return [0] if degree == 1

          @digits.find { |modulus| (1...@order).none? { |one| (one...@order).any? { |other| zero?(one, other, modulus) } } }
        end

        def zero?(one, other, modulus) = product(@digits[one], @digits[other], modulus).all?(&:zero?)

        def product(one, other, modulus)
          long = Array.new((2 * degree) - 1, 0)
          one.each_with_index { |a, i| other.each_with_index { |b, j| long[i + j] += a * b } }
          (long.length - 1).downto(degree) do |place|
            carry = long[place]
            modulus.each_with_index { |digit, i| long[place - degree + i] += carry * digit }
          end
          long.first(degree).map { |digit| digit % @prime }
        end
      end
    end
  end
end
