# frozen_string_literal: true

module Veranda
  module Live
    # Who is there. Counts each person's connections to this process, tells the other processes
    # through {Store::Presences}, and lets seats go when someone has been away too long.
    class Presence
      # Ms that a seat may look taken while nobody is seen to be connected: they may be on their way to another process.
      GRACE = 5_000

      # @param presences [Store::Presences]
      # @param clock [#call] ms since the epoch
      def initialize(presences, clock:)
        @presences = presences
        @clock = clock
        @tabs = Hash.new(0)
      end

      def arrive(sitting_id, person_id)
        key = [sitting_id, person_id]
        @presences.set(*key, @tabs[key] += 1)
      rescue StandardError
        # What fails is done again.
        forget(key)
        raise
      end

      # One connection went away; when it was the person's last, their seat says so.
      # @param gathering [Gathering]
      # @param on_purpose [Boolean] they said goodbye, so nothing is kept for them
      def part(gathering, sitting_id, person, on_purpose:)
        key = [sitting_id, person.id]
        # Somebody who was turned away never arrived.
        return unless @tabs.key?(key)

        left = forget(key)
        @presences.set(*key, left)
        return if left.positive? || @presences.connected(sitting_id).include?(person.id)

        gathering.look(sitting_id) do |sitting, staff|
          # They may have come back while this waited for its turn.
          see_off(gathering, sitting, staff, person, on_purpose: on_purpose) unless @tabs.key?(key)
        end
      end

      # Says who is connected to this process now; what could not be written when it happened is put right by this.
      def beat = @presences.beat(@tabs.keys)

      # Puts right what no one was there to notice: people whose process died, people who did not come back in
      # time, and people who are back and still count as gone.
      # @param gathering [Gathering]
      def sweep(gathering)
        @presences.sweep
        gathering.sittings.each do |sitting_id|
          connected = @presences.connected(sitting_id)
          gathering.look(sitting_id) do |sitting, staff|
            next if sitting.ended?

            sitting.seats.each_value.reject(&:out?).each { |seat| sweep_seat(gathering, sitting, seat, connected) }
            staff.waiting.each_value { |row| sweep_waiting(gathering, sitting, row, connected) }
          end
        end
      end

      private

      # @return [Integer] connections left
      def forget(key)
        left = @tabs[key] -= 1
        @tabs.delete(key) unless left.positive?
        left
      end

      # Says since when they were seen there, so that nobody is sent off who has come back since.
      def see_off(gathering, sitting, staff, person, on_purpose:)
        seat = sitting.seats[person.id]
        since = (seat || staff.waiting[person.id])&.[](:since) or return
        return gathering.observe('class.drop', sitting.id, person, since: since) unless on_purpose && seat

        gathering.observe('class.leave', sitting.id, person, since: since, place: seat.place)
      end

      def sweep_seat(gathering, sitting, seat, connected)
        person = Core::Person.new(id: seat.id, name: seat.name, role: seat.role)
        away = @clock.call - seat.since
        here = connected.include?(seat.id) || @tabs.key?([sitting.id, seat.id])
        return (gathering.observe('class.join', sitting.id, person) if !seat.here? && @tabs.key?([sitting.id, seat.id])) if here

        gathering.observe('class.drop', sitting.id, person, since: seat.since) if seat.here? && away > GRACE
        return unless seat.presence == 'dropped' && away > Core::Sittings::Seat::GRACE

        gathering.observe('class.leave', sitting.id, person, since: seat.since, place: seat.place)
      end

      def sweep_waiting(gathering, sitting, row, connected)
        return if connected.include?(row[:id]) || @tabs.key?([sitting.id, row[:id]]) || @clock.call - row[:since] < GRACE

        gathering.observe('class.drop', sitting.id, Core::Person.new(**row.slice(:id, :name, :role)), since: row[:since])
      end
    end
  end
end
