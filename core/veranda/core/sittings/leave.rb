# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Someone left, by choice or because they did not come back in time. Their hand goes down, their signal with it, and the
      # floor returns.
      class Leave < Drop
        on :sitting, 'class.leave'
        touches { |concern| [Streams::StreamName.place(concern.sitting_id, concern.input[:place])] }
        # `place` is where they are, as the server last knew.
        contract do
          required(:place).value(Types::ID)
          optional(:since).value(:integer)
        end

        def decide
          return if sitting.ended? || changed_since?
          return super if plan.waiting.key?(by.id)

          [entry('left'), host_went, *put_down] unless seat.nil? || seat.left?
        end

        private

        def put_down
          stream = Streams::StreamName.place(sitting.id, input[:place])
          left = scene.of(stream)
          [(entry('hand_lowered', { person: by.id }, on: stream) if left.hands.include?(by.id)),
           (entry('signal_off', { people: [by.id] }, on: stream) if left.signals.key?(by.id)),
           (entry('floor_back', on: stream) if left.floor&.fetch(:person) == by.id)]
        end
      end
    end
  end
end
