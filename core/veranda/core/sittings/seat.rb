# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # One person's place in a class. `presence` is `here`, `dropped` (connection lost, seat
      # kept for {GRACE}), `left` or `out` (sent back to wait, or removed);
      # `place` is where they are, see {Places}; `since` is ms since the epoch.
      Seat = Struct.new(:id, :name, :role, :place, :presence, :since, keyword_init: true) do
        def here? = presence == 'here'
        def left? = presence == 'left'
        def out? = presence == 'out'
        def staff? = Person::STAFF.include?(role)
      end

      # How long a dropped person keeps seat and hand, in ms.
      Seat::GRACE = 120_000
    end
  end
end
