# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # How many people sit in each room: sizes differ by at most one, and nobody is alone unless there is no other way.
      module Sizes
        # Rooms at most.
        MOST_ROOMS = 100

        module_function

        # @param count [Integer] people
        # @param rooms [Integer] as wished; fewer when somebody would be alone in one
        # @return [Array<Integer>] people in each room, larger rooms first; empty when there is nobody
        def in_rooms(count, rooms)
          rooms = rooms.clamp(1, [most(count), 1].max)
          if count.zero?
            []
          else
            Array.new(rooms) { |i| (count / rooms) + (i < count % rooms ? 1 : 0) }
          end
        end

        # @param count [Integer] people
        # @param size [Integer] wished for each room; when it does not come out, as many rooms as are nearest to it
        # @return [Array<Integer>]
        def of_size(count, size) = in_rooms(count, (count / size.to_f).round)

        # @param count [Integer] people
        # @return [Array<Array<Integer>>] every arrangement in two rooms or more, fewest rooms first
        def offers(count) = (2..most(count)).map { |rooms| in_rooms(count, rooms) }

        # @return [Integer] rooms in which nobody is alone
        def most(count) = (count / 2).clamp(0, MOST_ROOMS)
      end
    end
  end
end
