# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `exchange/ID.main`: what is written in one place of a class.
        #
        # What is written in a breakout room is read by staff who are in it; by others while it is open only where its doors are, which
        # those inside are told.
        class Exchange < Kind
          def part = :place
          def name(id, place = Sittings::Places::MAIN) = super
          def state_class = Core::Exchange::Posts

          def told(reader)
            return [] if reader.waits?

            places = reader.staff? ? reader.places.select { |place| reader.overhears?(place) } : [reader.place]
            places.map { |place| name(reader.id, place) }
          end

          def reads?(reader, stream) = super && (!reader.staff? || reader.overhears?(StreamName.part(stream)))
          def recorded(sitting) = [name(sitting.id, Sittings::Places::MAIN)]
          def recorded? = true
        end
      end
    end
  end
end
