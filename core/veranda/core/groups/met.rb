# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Whether rooms are as was wished.
      module Met
        module_function

        # @param wish [Wish] a hard one, of those who are here
        # @param rooms [Array<Array<String>>]
        # @return [Boolean]
        def met?(wish, rooms)
          counts = rooms.map { |room| (room & wish.people).length }
          case wish.kind
          when 'together' then counts.count(&:positive?) <= 1
          when 'apart' then counts.all? { |count| count <= 1 }
          when 'each', 'lead' then counts.count(&:positive?) >= [wish.people.length, rooms.length].min
          end
        end
      end
    end
  end
end
