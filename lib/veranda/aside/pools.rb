# frozen_string_literal: true

module Veranda
  module Aside
    # Processes beside this one: what takes seconds must not hold up what takes a moment, nor must strangers who try passwords hold up
    # those who are in.
    class Pools
      # Of what takes a moment, a page asks for as much at once as it shows.
      PAGEFUL = 100

      def initialize
        @slow = Pool.new
        @quick, @doors = Array.new(2) { Pool.new(each: PAGEFUL) }
      end

      # @see Pool#call
      def call(person, name, arguments, **options)
        pool_of(name).call(person, name, arguments, **options)
      end

      private

      def pool_of(name)
        return @doors if name == Tasks::AT_THE_DOOR

        Tasks::SLOW.include?(name) ? @slow : @quick
      end
    end
  end
end
