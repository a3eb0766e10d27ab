# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Ends the class and with it any recording. Boards and posts stay readable.
      class EndClass < SittingCommand
        on :sitting, 'class.end'

        def decide
          staff!('Only instructors and assistants end the class.')
          return if sitting.ended?

          going_on!
          entry('ended')
        end
      end
    end
  end
end
