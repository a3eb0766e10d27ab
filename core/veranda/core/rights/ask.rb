# frozen_string_literal: true

module Veranda
  module Core
    module Rights
      # The one place that answers "may this person do that, here, now?"
      #
      # Staff always may. Outside a class others work on the boards that were given to them for
      # that. In a class the doors must be open, and then, in the place concerned, an exception for the person counts
      # before the rule for all.
      module Ask
        module_function

        # @param right [Symbol] one of {RIGHTS}
        # @param by [Person]
        # @param sitting [Sittings::Sitting, nil]
        # @param place [Sittings::Place, nil] where it is to be done
        # @param outside [String, nil] what students may do with the board outside of class, see {Lessons::Outside}
        # @return [Answer]
        def call(right, by:, sitting:, place: nil, outside: nil)
          return Answer.no(:class_ended, 'This class has ended. Its boards can still be read.') if sitting&.ended?
          return Answer.yes(:staff) if by.staff?
          return outside_class(right, outside) unless sitting
          return Answer.no(:doors_closed, 'The doors are not open yet.') unless sitting.open?

          by_rule(right, by, place.rules)
        end

        # @return [Hash{Symbol => Answer}] for every right
        def all(**facts) = RIGHTS.keys.to_h { |right| [right, call(right, **facts)] }

        def outside_class(right, outside)
          if outside == 'work'
            return Answer.yes(:outside) unless right == :arrange

            return Answer.no(:may_not_arrange, 'Outside of class you change only what you put there yourself.')
          end
          return Answer.no(:board_for_reading, 'This board is for reading outside of class.') if outside == 'read'

          Answer.no(:no_class, 'Only instructors and assistants prepare lessons.')
        end
        private_class_method :outside_class

        def by_rule(right, by, rules)
          exception = rules.exception(right, by.id)
          allowed = exception.nil? ? rules.for_all(right) : exception
          return Answer.yes(exception.nil? ? :rule : :exception) if allowed

          whom = exception.nil? ? 'Students' : 'You'
          Answer.no(:"may_not_#{right}", "#{whom} may not #{RIGHTS.fetch(right)} just now.")
        end
        private_class_method :by_rule
      end
    end
  end
end
