# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Somebody goes to a room by themselves: to theirs, when asked to; to any with room left, where people choose or may change.
      class Go < RoomsCommand
        on :sitting, 'rooms.go'
        touches :staff, :own
        touches { |concern| RoomsCommand.place_streams(concern, [concern.input[:from], concern.input[:to]]) }
        contract do
          required(:to).value(Types::ID)
          required(:from).value(Types::ID)
        end

        def decide
          going_on!
          raise Refusal.new(:not_here, 'You are not in this class.') unless seat && sitting.in?(by.id)
          return if seat.place == input[:to]

          still_there!
          theirs = plan.activities.room_for(by.id) == input[:to]
          theirs ? taken_to(input[:to], [by.id]) : [chosen, *taken_to(input[:to], [by.id])]
        end

        private

        def still_there!
          raise Refusal.new(:moved_on, 'You are in another room by now.') unless seat.place == input[:from]
        end

        def chosen
          activity = plan.activities.open
          room = plan.activities.open_rooms.find { |one| one[:id] == input[:to] }
          raise Refusal.new(:rooms_closed, 'That room is closed.') unless activity && room

          may_choose!(activity[:plan])
          full!(room, activity[:plan][:limit])
          entry('assigned', { activity: activity[:id], moves: [{ person: by.id, room: room[:id] }] }, on: :staff)
        end

        def may_choose!(plan)
          return if by.staff? || plan[:free] || plan[:way] == 'choice'

          raise Refusal.new(:may_not_choose, 'Your instructor decides who is in which room. Ask to be moved.')
        end

        def full!(room, limit)
          inside = sitting.present.count { |one| one.place == room[:id] && !one.staff? }
          return if limit.nil? || inside < limit || by.staff?

          raise Refusal.new(:room_full, "“#{room[:name]}” is full. Choose another.")
        end
      end
    end
  end
end
