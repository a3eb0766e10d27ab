# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Seatings to begin with that follow a construction: everyone of the roster has a point of it for the whole course, each of its
      # rounds is tried, and those whose rooms are no rooms now, since people are missing, are dealt to the others.
      class Constructed
        # @param roster [Array<String>] in an order that stays the same over the course
        # @param people [Array<String>] those who are here, in the order of the weights
        # @param sizes [Array<Integer>] people in each room
        # @param weights [Array<Array<Integer>>] between people
        def initialize(roster, people, sizes, weights)
          number = people.each_with_index.to_h
          @person_at = roster.map { |person| number[person] }
          @sizes = sizes.sort.reverse
          @weights = weights
        end

        # @return [Array<Array<Array<Integer>>>] people in each room, of each round
        def starts
          rounds.map { |rooms| fit(rooms.map { |points| points.filter_map { |point| @person_at[point] } }) }
        end

        private

        def rounds = Constructions.rounds(@person_at.length, @sizes.max)

        def fit(rooms)
          rooms = rooms.sort_by { |room| -room.length }
          left = rooms.drop(@sizes.length).flatten
          rooms = @sizes.each_with_index.map do |size, i|
            left.concat((rooms[i] || []).drop(size))
            (rooms[i] || []).first(size)
          end
          left.each { |one| nearest(rooms, one) << one }
          rooms
        end

        def nearest(rooms, one)
          open = rooms.each_index.select { |i| rooms[i].length < @sizes[i] }
          rooms[open.min_by { |i| rooms[i].sum { |other| @weights[one][other] } }]
        end
      end
    end
  end
end
