# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Gives or takes a right in a place, for all students or as an exception for one.
      class SetRight < SittingCommand
        on :place, 'class.rule'
        contract do
          required(:right).value(:string, included_in?: Rights::RIGHTS.keys.map(&:to_s))
          required(:allow).value(:bool)
          optional(:person).value(Types::ID)
        end

        def decide
          staff!('Only instructors and assistants change the house rules.')
          raise Refusal.new(:class_ended, 'This class has ended.') if sitting.ended?

          person = input[:person]
          raise Refusal.new(:not_here, 'That person is not in this class.') if person && !sitting.in?(person)

          changed = place.rules.set(input[:right].to_sym, input[:allow], person: person)
          entry('ruled', input) unless changed.to_h.except(:by_step) == place.rules.to_h.except(:by_step)
        end
      end
    end
  end
end
