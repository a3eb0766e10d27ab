# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # What hard wishes make of people: units that stay together, and which of these may not be in one room.
      class Parties
        # @return [Array<Array<String>>] people of each unit
        attr_reader :units
        # @return [Array<Array<Integer>>] for each unit those it must not meet
        attr_reader :apart

        # @param people [Array<String>]
        # @param wishes [Array<Wish>] hard ones, of these people
        # @param rooms [Integer]
        def initialize(people, wishes, rooms)
          @units = join(people, wishes.select { |wish| wish.kind == 'together' })
          @unit_of = {}
          @units.each_with_index { |unit, i| unit.each { |person| @unit_of[person] = i } }
          @apart = Array.new(@units.length) { [] }
          wishes.each { |wish| keep_apart(wish) if wish.kind == 'apart' || (wish.each? && wish.people.length <= rooms) }
          @apart.each(&:uniq!)
        end

        # @return [Array<Integer>] people in each unit
        def sizes = @units.map(&:length)

        # @return [Boolean] whether somebody is wished apart from whom they are wished together with
        def torn? = @apart.each_with_index.any? { |others, unit| others.include?(unit) }

        # Those alone who are wished anything of; the others fit anywhere.
        # @return [Array(Array<Integer>, Array<Array<Integer>>)] sizes of these units, and for each those it must not meet
        def tied
          kept = @units.each_index.select { |unit| @units[unit].length > 1 || @apart[unit].any? }
          number = kept.each_with_index.to_h
          [kept.map { |unit| @units[unit].length }, kept.map { |unit| @apart[unit].map { |other| number[other] } }]
        end

        private

        def join(people, wishes)
          unit_of = people.to_h { |person| [person, [person]] }
          wishes.each do |wish|
            joined = wish.people.map { |person| unit_of[person] }.uniq(&:object_id).flatten
            joined.each { |person| unit_of[person] = joined }
          end
          people.map { |person| unit_of[person] }.uniq(&:object_id)
        end

        def keep_apart(wish)
          wish.people.map { |person| @unit_of[person] }.combination(2) do |one, other|
            @apart[one] << other
            @apart[other] << one
          end
        end
      end
    end
  end
end
