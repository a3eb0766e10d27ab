# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # How a place writes: whether staff read the threads that begin from now on, and whether posts take signs. Everyone in the place
      # is told.
      class SetExchange < SittingCommand
        on :place, 'class.set_exchange'
        contract do
          optional(:oversight).value(:bool)
          optional(:reactions).value(:bool)
        end

        def decide
          staff!('Only instructors and assistants decide how a class writes.')
          raise Refusal.new(:class_ended, 'This class has ended.') if sitting.ended?

          changed = input.reject { |what, on| place.public_send(what) == on }
          entry('exchange_set', changed) if changed.any?
        end
      end
    end
  end
end
