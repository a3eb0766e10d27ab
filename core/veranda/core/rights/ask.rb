# frozen_string_literal: true

module Veranda
  module Core
    module Rights
      # The one place that answers "may this person do that, here, now?"
      #
      # Staff always may. Outside a class others work on the boards that were given to them for
      # that; while the class goes on, only those who are in it, and by its rules. In a class the doors must be open; a copy of one's own
      # is free then, and else, in the place concerned, the floor counts before an exception for the person, and that before the rule
      # for all.
      module Ask
        GOING_ON = 'The class goes on with this board. Go in by its doors to take part.'

        module_function

        # @param right [Symbol] one of {RIGHTS}
        # @param by [Person]
        # @param sitting [Sittings::Sitting, nil]
        # @param place [Sittings::Place, nil] where it is to be done
        # @param outside [String, nil] what students may do with the board outside of class, see {Lessons::Outside}
        # @param own [Boolean] whether it is to be done on a copy or board that is theirs
        # @param at [Integer, nil] ms since the epoch, for a floor whose time may be over
        # @return [Answer]
        def call(right, by:, sitting:, place: nil, outside: nil, own: false, at: nil)
          return Answer.no(:class_ended, 'This class has ended. Its boards can still be read.', :class) if sitting&.ended?
          return Answer.yes(:staff) if by.staff?
          return outside_class(right, outside) unless sitting
          return Answer.no(:doors_closed, 'The doors are not open yet.', :class) unless sitting.open?
          return Answer.no(:class_going_on, GOING_ON, :class) if outside && !sitting.in?(by.id)
          return Answer.yes(:own) if own && OWN.include?(right)

          in_place(right, by, place, at)
        end

        # @return [Hash{Symbol => Answer}] for every right
        def all(**facts) = RIGHTS.keys.to_h { |right| [right, call(right, **facts)] }

        def outside_class(right, outside)
          case outside
          when 'work' then OUTSIDE.include?(right) ? Answer.yes(:outside) : no_outside(right)
          when 'read' then Answer.no(:board_for_reading, 'This board is for reading outside of class.', :outside)
          else Answer.no(:no_class, 'Only instructors and assistants prepare lessons.', :outside)
          end
        end
        private_class_method :outside_class

        def no_outside(right)
          return Answer.no(:may_not_arrange, 'Outside of class you change only what you put there yourself.', :outside) if right == :arrange

          Answer.no(:"may_not_#{right}", "You may #{RIGHTS.fetch(right)} only in class.", :outside)
        end
        private_class_method :no_outside

        CLOSED = 'This room is closed. What was made in it can still be read.'
        private_constant :CLOSED

        def in_place(right, by, place, at)
          return Answer.no(:room_closed, CLOSED, :class) if place.room&.fetch(:closed)
          return Answer.yes(:floor) if FLOOR.include?(right) && Sittings::Floor.of?(place.floor, by.id, at)

          by_rule(right, by, place.rules)
        end
        private_class_method :in_place

        def by_rule(right, by, rules)
          exception = rules.exception(right, by.id)
          from = rules.from(right, by.id)
          return Answer.yes(from) if exception.nil? ? rules.for_all(right) : exception

          whom = exception.nil? ? 'Students' : 'You'
          long = from == :step ? 'in this part of the class' : 'just now'
          Answer.no(:"may_not_#{right}", "#{whom} may not #{RIGHTS.fetch(right)} #{long}.", from)
        end
        private_class_method :by_rule
      end
    end
  end
end
