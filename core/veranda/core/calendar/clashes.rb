# frozen_string_literal: true

module Veranda
  module Core
    module Calendar
      # Who of the people of a lesson is in another one at the same time, and on which day near by nobody would be.
      #
      #   clashes = Clashes.new({ 'farah' => 'student' }, busy)
      #   clashes.at(from, to)  #=> [{ person: 'farah', role: 'student', lesson: 'fronts' }]
      class Clashes
        DAY = 86_400
        # Days before and after that are looked at.
        NEAR = 14

        # @param people [Hash{String => String}] by id their role in the course
        # @param busy [Array<Hash>] other lessons, `{ id:, from: ms, to: ms, people: [ids] }`
        def initialize(people, busy)
          @people = people
          @busy = busy.sort_by { |lesson| lesson[:from] }
        end

        # @param from [Integer] ms since the epoch
        # @param to [Integer] the same
        # @return [Array<Hash>] `{ person:, role:, lesson: }`, those who teach first
        def at(from, to)
          found = overlapping(from, to).flat_map do |lesson|
            (lesson[:people] & @people.keys).map { |id| { person: id, role: @people[id], lesson: lesson[:id] } }
          end
          found.sort_by { |clash| [Person::STAFF.index(clash[:role]) || Person::STAFF.length, clash[:person]] }
        end

        # @param zone [Zone] in which the time of day stays what it is
        # @param after [Integer] ms since the epoch; nothing is planned before that
        # @return [Integer, nil] ms of the nearest day at the same time of day on which there is no clash
        def free_near(from, length, zone:, after:)
          wall = zone.wall(from)
          days = (1..NEAR).flat_map { |count| [count, -count] }
          days.lazy.map { |count| zone.moment(wall + (count * DAY)) }.find { |at| at > after && at(at, at + length).empty? }
        end

        private

        # What ends as the other begins is no clash.
        def overlapping(from, to) = @busy.select { |lesson| lesson[:from] < to && lesson[:to] > from }
      end
    end
  end
end
