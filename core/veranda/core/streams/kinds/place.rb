# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `place/ID.main`: what is on show, rules, timer and hands of one place of a class.
        class Place < Kind
          def part = :place
          def state_class = Sittings::Place

          def told(reader)
            return [name(reader.id, reader.place)] unless reader.staff?

            [Sittings::Places::WAITING, *reader.places].map { |place| name(reader.id, place) }
          end

          def recorded(sitting) = [name(sitting.id, Sittings::Places::MAIN)]
          def recorded? = true
        end
      end
    end
  end
end
