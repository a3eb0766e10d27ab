# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # One person's place in a class. `presence` is `here`, `dropped` (connection lost, seat
      # kept for {GRACE}) or `left`.
      Seat = Struct.new(:id, :name, :role, :presence, :since, keyword_init: true) do
        def here? = presence == 'here'
        def staff? = Person::STAFF.include?(role)
      end

      # How long a dropped person keeps seat and hand, in ms.
      Seat::GRACE = 120_000
    end
  end
end
