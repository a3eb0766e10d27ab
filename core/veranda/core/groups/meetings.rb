# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Who has sat with whom in earlier activities of a course, and how much it weighs that they sit together once more: each
      # meeting weighs, and the latest weighs the more the nearer it is.
      class Meetings
        # What one meeting weighs, and what at most is added for its being recent.
        ONCE = 1_000_000
        RECENT = 400_000

        # @param rounds [Array<Array<Array<String>>>] groups of each earlier activity, oldest first
        def initialize(rounds = [])
          @rounds = rounds.length
          @times = Hash.new(0)
          @latest = {}
          rounds.each_with_index { |groups, round| groups.each { |group| meet(group, round) } }
        end

        # @return [Integer] how often two people sat together
        def times(one, other) = @times[one < other ? [one, other] : [other, one]]

        # @param people [Array<String>]
        # @return [Array<Array<Integer>>] what it costs to seat two of them together, by their places in the list
        def weights(people)
          number = people.each_with_index.to_h
          rows = Array.new(people.length) { Array.new(people.length, 0) }
          @times.each do |two, times|
            one, other = number[two.first], number[two.last]
            next unless one && other

            rows[one][other] = rows[other][one] = (times * ONCE) + (RECENT / (@rounds - @latest[two]))
          end
          rows
        end

        private

        def meet(group, round)
          group.sort.combination(2) do |two|
            @times[two] += 1
            @latest[two] = round
          end
        end
      end
    end
  end
end
