# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Lets everyone who waits, and everyone who comes later, into the class.
      class OpenDoors < SittingCommand
        on :sitting, 'class.open'

        def decide
          staff!('Only instructors and assistants open the doors.')
          raise Refusal.new(:class_ended, 'This class has ended. Plan another one to teach the lesson again.') if sitting.ended?

          ['opened', {}] unless sitting.open?
        end
      end
    end
  end
end
