# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Somebody who teaches is heard, or shows the screen that they share, in every room at once, without going into any. The last who
      # wishes it does; whoever did before is heard in the main room alone.
      #
      # In a class's state it is `{ person:, name:, voice:, screen:, since: }`. It is over when they say so, go to a room, or are gone, and
      # when no room is open any more, see {Sittings::Sitting}.
      class Address < RoomsCommand
        on :sitting, 'rooms.address'
        looks_at :main
        contract do
          required(:voice).value(:bool)
          required(:screen).value(:bool)
        end

        def decide
          teaching!
          going_on!
          return over unless input[:voice] || input[:screen]

          in_the_main_room!
          raise Refusal.new(:rooms_closed, 'No room is open.') unless plan.activities.open

          shared! if input[:screen]
          return if sitting.address&.slice(:person, :voice, :screen) == { person: by.id, **input }

          entry('addressed', { name: by.name, **input })
        end

        private

        # Whoever teaches with them ends it too, should they be stuck.
        def over = sitting.address && entry('address_over')

        def shared!
          return if scene.of(:main).screen&.fetch(:person) == by.id

          raise Refusal.new(:no_screen, 'Share your screen first.')
        end

        def in_the_main_room!
          return if sitting.in?(by.id) && !seat.left? && seat.place == Sittings::Places::MAIN

          raise Refusal.new(:not_here, 'Step out of the room first. All rooms are spoken to from the main room.')
        end
      end
    end
  end
end
