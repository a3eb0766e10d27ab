# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Rounds in which nobody meets anybody twice, as far as they are known for so many people.
      module Constructions
        # By this seed starters are looked for, so that the same rounds are found at each deal of a course.
        SEED = 1850

        module_function

        # @param count [Integer] people
        # @param size [Integer] in a room
        # @return [Array<Array<Array<Integer>>>] points (at least as many as people) in each room of each round
        def rounds(count, size) = size < 2 || count <= size ? [] : Lines.for(count, size).rounds

        # @param count [Integer] people, a multiple of the size
        # @param wished [Integer] rounds
        # @return [Array<Array<Array<Integer>>>, nil] as many rounds as are wished, or nil
        def whole(count, size, wished)
          lines = Lines.for(count, size)
          return lines.rounds.first(wished) if lines.points == count && lines.rounds.length >= wished

          Starter.rounds(count, size, wished, rng: Random.new(SEED))&.first(wished)
        end
      end
    end
  end
end
