# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Staff step into a room, or out of it again. Stepping in answers its call.
      class StepIn < RoomsCommand
        on :sitting, 'rooms.step_in'
        touches :own
        touches { |concern| RoomsCommand.place_streams(concern, [concern.input[:to], concern.input[:from]]) }
        contract do
          required(:to).value(Types::ID)
          required(:from).value(Types::ID)
        end

        def decide
          teaching!
          going_on!
          raise Refusal.new(:rooms_closed, 'That room is closed.') unless sitting.place?(input[:to])
          raise Refusal.new(:not_here, 'You are not in this class.') unless seat
          return if seat.place == input[:to]
          raise Refusal.new(:moved_on, 'You are in another room by now.') unless seat.place == input[:from]

          [*taken_to(input[:to], [by.id]), *answered]
        end

        private

        def answered = scene.of(place_stream(input[:to])).call ? [entry('call_answered', on: place_stream(input[:to]))] : []
      end
    end
  end
end
