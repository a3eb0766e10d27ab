# frozen_string_literal: true

module Veranda
  module Core
    module Rights
      # Who may do what in a place, and what decides it: for staff, who look for the reason that somebody cannot do something.
      #
      #   Survey.of(sitting, 'main', place, at: now)
      #   #=> [{ person: 'farah', rights: { draw: { allowed: false, from: :step }, … } }]
      module Survey
        module_function

        # @param sitting [Sittings::Sitting]
        # @param here [String] id of the place
        # @param place [Sittings::Place]
        # @param at [Integer] ms since the epoch
        # @param person [String, nil] one person alone
        # @return [Array<Hash>] a row for each student who is there, or for the one
        def of(sitting, here, place, at:, person: nil)
          seats = sitting.present.select { |seat| seat.place == here && !seat.staff? && [nil, seat.id].include?(person) }
          seats.map do |seat|
            by = Person.new(id: seat.id, name: seat.name, role: seat.role)
            answers = Ask.all(by: by, sitting: sitting, place: place, at: at)
            { person: seat.id, rights: answers.transform_values { |answer| { allowed: answer.allowed, from: answer.from } } }
          end
        end
      end
    end
  end
end
