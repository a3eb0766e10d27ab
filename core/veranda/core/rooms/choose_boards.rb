# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Says, before rooms open, of which boards a room gets copies: of the ones that are named, of the step's or the plan's (nil), or an
      # empty one (none).
      class ChooseBoards < RoomsCommand
        on :staff, 'rooms.choose_boards'

        contract do
          required(:activity).value(Types::ID)
          required(:room).value(Types::ID)
          required(:from).maybe(:array, max_size?: 5) { each(Types::ID) }
        end

        def decide
          teaching!
          activity = activity!
          room = room!(activity, input[:room])
          not_opened!(activity)
          boards!
          return if room[:from] == input[:from]

          entry('room_set', { activity: activity[:id], room: room[:id], name: room[:name], from: input[:from] })
        end

        private

        def not_opened!(activity)
          return if activity[:state] == 'dealt'

          raise Refusal.new(:rooms_were_open, 'This room has its boards already. Give it one more while it is open.')
        end

        def boards!
          return if (input[:from] || []).all? { |id| plan.open_board(id) }

          raise Refusal.new(:no_such_board, 'That board does not belong to this class.')
        end
      end
    end
  end
end
