# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Closes rooms whose time is over, and takes everyone in them back to where the class is. What was made in them is kept, for
      # those who sat in them.
      class BringBack < RoomsCommand
        include Keeping

        on :staff, 'rooms.bring_back'
        touches :sitting, :main
        touches { |concern| RoomsCommand.place_streams(concern, concern.input[:rooms]) }
        begins { |concern| concern.input[:people].map { |id| concern.own_of(id) } }

        contract do
          required(:activity).value(Types::ID)
          required(:rooms).value(:array, min_size?: 1, max_size?: Groups::Sizes::MOST_ROOMS).each(Types::ID)
          # Everybody who is in them, or was in one of them and is away.
          required(:people).value(:array, max_size?: 1_000).each(Types::ID)
        end

        # @param sitting [Sittings::Sitting]
        # @param rooms [Array<String>] ids
        # @return [Array<String>] ids of everybody whose seat is in them
        def self.inside(sitting, rooms) = sitting.seats.each_value.select { |seat| rooms.include?(seat.place) }.map(&:id)

        # @param room [Hash, nil] see {Sittings::Place#room}
        # @param at [Integer] ms since the epoch
        # @return [Boolean] whether its time and its grace are over
        def self.over?(room, at) = !room.nil? && !room[:ends_at].nil? && at >= room[:ends_at] + (room[:grace] * 1000)

        def decide
          return if sitting.ended?

          activity = activity!
          rooms = activity[:rooms].select { |room| room[:open] && input[:rooms].include?(room[:id]) }
          rooms = rooms.select { |room| BringBack.over?(scene.of(place_stream(room[:id])).room, scene.at) }
          return if rooms.empty?

          [*back(rooms), *closed(activity, rooms)]
        end

        private

        # Somebody who has just come in is taken along the next time.
        def back(rooms)
          inside = BringBack.inside(sitting, rooms.map { |room| room[:id] })
          raise Refusal.new(:moved_on, 'Somebody has just gone into a room.') unless (inside - input[:people]).empty?

          taken_to(Sittings::Places::MAIN, inside)
        end

        # The recording, if it paused for the rooms and nobody has switched it since.
        def goes_on = (entry('recording', { on: true, planned: true, rooms: true }, on: :sitting) if sitting.paused_for_rooms)

        def closed(activity, rooms)
          told = rooms.map { |room| { id: room[:id], sat: sitting.sat(room[:id], scene.at) } }
          [entry('rooms_closed', { activity: activity[:id], rooms: told }),
           entry('rooms_closed', { activity: activity[:id], rooms: rooms.map { |room| room[:id] } }, on: :sitting),
           (goes_on if (plan.activities.open_rooms - rooms).empty?),
           *rooms.map { |room| entry('room_closed', on: place_stream(room[:id])) },
           *rooms.zip(told).flat_map { |room, sat| kept(activity, room, sat[:sat] & input[:people]) }]
        end
      end
    end
  end
end
