# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Opens the class: whoever comes from now on comes in. Those who wait are let in right after ({LetIn}).
      class OpenDoors < SittingCommand
        on :sitting, 'class.open'
        touches :waiting

        def decide
          staff!('Only instructors and assistants open the doors.')
          raise Refusal.new(:class_ended, 'This class has ended. Plan another one to teach the lesson again.') if sitting.ended?

          [entry('opened'), entry('begun', on: :waiting)] unless sitting.open?
        end
      end
    end
  end
end
