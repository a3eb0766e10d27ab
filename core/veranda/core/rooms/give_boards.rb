# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Every room gets one more board, a copy of one of the class's, which comes on show there. The copies were made for it.
      class GiveBoards < RoomsCommand
        on :staff, 'rooms.give'
        touches { |concern| RoomsCommand.place_streams(concern, concern.input[:rooms].map { |room| room[:id] }) }

        # Boards of one room.
        MOST = 20

        contract do
          required(:activity).value(Types::ID)
          required(:rooms).value(:array, min_size?: 1, max_size?: Groups::Sizes::MOST_ROOMS).each do
            hash do
              required(:id).value(Types::ID)
              required(:board).hash(OpenRooms::BOARD)
            end
          end
        end

        def decide
          teaching!
          activity = open_activity!
          rooms = input[:rooms].uniq { |room| room[:id] }
          rooms.each { |room| room_for_one!(open_room!(activity, room[:id])) }
          [entry('rooms_given', { activity: activity[:id], rooms: rooms }), *rooms.flat_map { |room| told(room) }]
        end

        private

        def room_for_one!(room)
          return if room[:boards].length < MOST

          raise Refusal.new(:too_many_boards, "“#{room[:name]}” has #{MOST} boards. Go on on one of them.")
        end

        def told(room)
          board = room[:board]
          on = place_stream(room[:id])
          [entry('room_given', { board: board }, on: on),
           entry('shown', { board: board[:id], page: board[:first_page] || Boards::Board::FIRST_PAGE }, on: on)]
        end
      end
    end
  end
end
