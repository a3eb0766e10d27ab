# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # What students tell with one tap. Each has one signal at a time, until they take it back or it is cleared.
      module Signals
        KINDS = %w[done yes no slower faster back_soon clap].freeze
        # What staff give as well: they do not answer themselves.
        STAFF = %w[back_soon clap].freeze
        DONE = 'done'
        # Those that nobody sees any more after so many ms.
        PASSING = { 'clap' => 15_000 }.freeze

        # @param sitting [Sitting]
        # @param here [String] id of the place
        # @param place [Place]
        # @param person [String] who is done just now
        # @return [Boolean] whether every student in the place is done
        def self.all_done?(sitting, here, place, person)
          students = sitting.present.select { |seat| seat.place == here && !seat.staff? }
          students.all? { |seat| seat.id == person || place.signals.dig(seat.id, :signal) == DONE }
        end
      end
    end
  end
end
