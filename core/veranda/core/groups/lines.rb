# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Rounds from the lines of a finite field: people are points (column, height), each round has the lines of one slope, and as two
      # points in different columns lie on one line only, nobody meets anybody twice.
      #
      # With `size` columns of `q` points each there are `q` such rounds (a resolvable transversal design; with `q` columns, the affine
      # plane of that order), and one more in which each column sits apart when its points come out even: R. C. Bose, On the application of
      # the properties of Galois fields to the problem of construction of hyper-Graeco-Latin squares, Sankhyā 3 (1938).
      class Lines
        # @param count [Integer] people
        # @param size [Integer] people in a room
        # @return [Lines, nil] on the smallest field that has a point for everyone
        def self.for(count, size)
          least = [(count / size.to_f).ceil, size].max
          order = (least..(2 * least)).find { |number| GaloisField.order?(number) }
          new(order, size)
        end

        # @param order [Integer] of the field, `size` at least
        # @param size [Integer]
        def initialize(order, size)
          @field = GaloisField.new(order)
          @order = order
          @size = size
        end

        # @return [Integer] points
        def points = @order * @size

        # @return [Array<Array<Array<Integer>>>] points in each room of each round; points are numbered across the columns, so that
        #   people fewer than points are missing at one height
        def rounds
          slopes = Array.new(@order) { |slope| Array.new(@order) { |start| line(slope, start) } }
          (@order % @size).zero? ? slopes + [columns] : slopes
        end

        private

        def line(slope, start)
          Array.new(@size) { |column| point(column, @field.add(@field.multiply(slope, column), start)) }
        end

        def columns
          Array.new(@size) { |column| Array.new(@order) { |height| point(column, height) }.each_slice(@size).to_a }.flatten(1)
        end

        def point(column, height) = (height * @size) + column
      end
    end
  end
end
