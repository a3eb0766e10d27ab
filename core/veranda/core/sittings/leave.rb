# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Someone left, by choice or because they did not come back in time. See {PuttingDown}.
      class Leave < Drop
        include PuttingDown

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

          [entry('left'), host_went, *put_down(by.id, input[:place])] unless seat.nil? || seat.left? || seat.out?
        end
      end
    end
  end
end
