# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Who has sat with whom in earlier activities of a course, and how much it weighs that they sit together once more: each
      # meeting weighs, and the latest weighs the more the nearer it is. It weighs the more, too, the more people both have not met yet:
      # whoever was often away has few chances left to meet them, and one of these would be lost.
      class Meetings
        # What one meeting weighs, and what at most is added for its being recent, and for whom both have not met yet; together less than
        # another meeting.
        ONCE = 1_000_000
        RECENT = 250_000
        FRESH = 700_000

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
        # @param roster [Array<String>] everybody whom they could meet
        # @return [Array<Array<Integer>>] what it costs to seat two of them together, by their places in the list
        def weights(people, roster = people)
          number = people.each_with_index.to_h
          fresh = fresh(people, roster)
          rows = Array.new(people.length) { Array.new(people.length, 0) }
          @times.each do |two, times|
            one, other = number[two.first], number[two.last]
            next unless one && other

            rows[one][other] = rows[other][one] = (times * ONCE) + (RECENT / (@rounds - @latest[two])) + fresh[one] + fresh[other]
          end
          rows
        end

        private

        # @return [Array<Integer>] what is added for each of the people, half of {FRESH} at most
        def fresh(people, roster)
          met = @times.each_key.to_a.flatten.tally
          left = people.map { |person| (roster.length - 1 - (met[person] || 0)).clamp(0, roster.length) }
          most = [left.max.to_i, 1].max
          left.map { |count| FRESH / 2 * count / most }
        end

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
