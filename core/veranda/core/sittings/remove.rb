# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Removes somebody from the class, whether they are in or wait. They stay out, by whichever door they come, until they are
      # let back ({LetBack}).
      class Remove < TurningOut
        on :sitting, 'class.remove'
        contract do
          required(:person).value(Types::ID)
          required(:place).value(Types::ID)
        end

        def decide
          staff!('Only instructors and assistants remove somebody.')
          raise Refusal.new(:class_ended, 'This class has ended.') if sitting.ended?
          return if plan.removed.key?(person)

          waiting = plan.waiting[person]
          raise Refusal.new(:not_here, 'That person is not in this class.') unless waiting || sitting.in?(person)

          waiting ? turn_away(waiting) : turn_out(turned(sitting.seats[person]))
        end

        private

        def turn_away(row)
          [entry('waits_no_more', { people: [person] }, on: :staff), entry('removed', row.slice(:id, :name, :role), on: :staff)]
        end

        def turn_out(seat) = [*out(seat), entry('removed', facts(seat), on: :staff)]
      end
    end
  end
end
