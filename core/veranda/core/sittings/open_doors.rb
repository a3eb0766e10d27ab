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
          raise Refusal.new(:called_off, 'This lesson was called off. Have it take place after all before you open its doors.') if off?

          [entry('opened'), entry('begun', on: :waiting)] unless sitting.open?
        end

        private

        def off? = scene.of(:waiting).welcome&.fetch(:cancelled, false)
      end
    end
  end
end
