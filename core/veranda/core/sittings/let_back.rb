# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Somebody who was removed may come again.
      class LetBack < SittingCommand
        on :staff, 'class.let_back'
        contract { required(:person).value(Types::ID) }

        def decide
          staff!('Only instructors and assistants let somebody back.')
          entry('let_back', { people: [input[:person]] }) if plan.removed.key?(input[:person])
        end
      end
    end
  end
end
