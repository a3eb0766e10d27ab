# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Shows nothing of one person, or all of them again.
      class LeaveOut < EditCommand
        on :recording, 'recording.leave_out'
        contract do
          required(:person).value(Types::ID)
          required(:on).value(:bool)
        end

        def decide
          editing!
          seat = sitting.seats[input[:person]] or raise Refusal.new(:not_here, 'They were not in this class.')
          raise Refusal.new(:staff_stay, 'Whoever taught cannot be left out. Cut what should not be seen.') if seat.staff?
          return if edits.left_out.include?(seat.id) == input[:on]

          entry('person_left_out', { person: seat.id, on: input[:on] })
        end
      end
    end
  end
end
