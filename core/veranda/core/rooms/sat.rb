# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Who sat in which room, and for how long: what counts when people are dealt again, and who keeps what was made there.
      class Sat
        # The share of the time that a room was open that makes somebody one of those who sat in it.
        SHARE = 0.25

        # @param rows [Array<Hash>] `{ room:, opened_at:, people: [{ id:, ms:, from: }] }`
        def initialize(rows = [])
          @rooms = rows.to_h do |row|
            [row[:room], { opened_at: row[:opened_at], people: row[:people].to_h { |one| [one[:id], { ms: one[:ms], from: one[:from] }] } }]
          end
          @room_of = {}
          @rooms.each { |room, facts| facts[:people].each { |id, time| @room_of[id] = room if time[:from] } }
        end

        def initialize_copy(_other)
          super
          @rooms = @rooms.transform_values { |facts| { **facts, people: facts[:people].transform_values(&:dup) } }
          @room_of = @room_of.dup
        end

        def opened(room, at) = @rooms[room] ||= { opened_at: at, people: {} }

        # Somebody is in a place from now on, or nowhere.
        # @param place [String, nil]
        def at(person, place, now)
          left = @room_of.delete(person)
          stop(left, person, now) if left
          return unless @rooms.key?(place)

          @room_of[person] = place
          (@rooms[place][:people][person] ||= { ms: 0, from: nil })[:from] = now
        end

        # @return [Array<String>] who sat in a room up to now
        def who(room, now)
          facts = @rooms[room] or return []
          least = (now - facts[:opened_at]) * SHARE
          facts[:people].select { |_, time| time[:from] || time[:ms] >= least }.keys
        end

        # Forgets a room that is closed.
        def closed(room)
          @rooms.delete(room)
          @room_of.delete_if { |_, place| place == room }
        end

        # @return [Array<Hash>] as given to {#initialize}
        def to_a
          @rooms.map do |room, facts|
            { room: room, opened_at: facts[:opened_at], people: facts[:people].map { |id, time| { id: id, **time } } }
          end
        end

        private

        def stop(room, person, now)
          time = @rooms.dig(room, :people, person) or return
          time[:ms] += now - time[:from] if time[:from]
          time[:from] = nil
        end
      end
    end
  end
end
