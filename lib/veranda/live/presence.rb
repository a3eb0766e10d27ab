# frozen_string_literal: true

module Veranda
  module Live
    # Who is there. Counts each person's connections to this process, tells the other processes
    # through {Store::Presences}, and lets seats go when someone has been away too long.
    class Presence
      # @param presences [Store::Presences]
      # @param clock [#call] ms since the epoch
      def initialize(presences, clock:)
        @presences = presences
        @clock = clock
        @tabs = Hash.new(0)
      end

      def arrive(sitting_id, person_id)
        @tabs[[sitting_id, person_id]] += 1
        @presences.set(sitting_id, person_id, @tabs[[sitting_id, person_id]])
      end

      # One connection went away; when it was the person's last, their seat says so.
      # @param gathering [Gathering]
      # @param on_purpose [Boolean] they said goodbye, so nothing is kept for them
      def part(gathering, sitting_id, person, on_purpose:)
        key = [sitting_id, person.id]
        @tabs[key] -= 1
        left = @tabs[key]
        @tabs.delete(key) if left.zero?
        @presences.set(sitting_id, person.id, left)
        return if left.positive? || @presences.connected(sitting_id).include?(person.id)

        gathering.observe(on_purpose ? 'class.leave' : 'class.drop', sitting_id, person)
      end

      def beat = @presences.beat

      # Puts right what no one was there to notice: people whose process died, and people
      # who did not come back in time.
      # @param gathering [Gathering]
      def sweep(gathering)
        @presences.sweep
        gathering.sittings.each do |sitting_id|
          connected = @presences.connected(sitting_id)
          gathering.look(sitting_id) { |sitting| sweep_seats(gathering, sitting, connected) }
        end
      end

      private

      def sweep_seats(gathering, sitting, connected)
        sitting.present.each do |seat|
          next if connected.include?(seat.id)

          person = Core::Person.new(id: seat.id, name: seat.name, role: seat.role)
          away = @clock.call - seat.since
          gathering.observe('class.drop', sitting.id, person) if seat.here? && away > 5_000
          gathering.observe('class.leave', sitting.id, person) if !seat.here? && away > Core::Sittings::Seat::GRACE
        end
      end
    end
  end
end
