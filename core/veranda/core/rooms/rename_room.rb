# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Names a room anew, before rooms open and while they are open.
      class RenameRoom < RoomsCommand
        on :staff, 'rooms.rename'
        touches :sitting
        begins { |concern| RoomsCommand.place_streams(concern, [concern.input[:room]]) }

        contract do
          required(:activity).value(Types::ID)
          required(:room).value(Types::ID)
          required(:name).filled(:string, max_size?: GroupPlan::LONGEST_NAME)
        end

        def decide
          teaching!
          room = room!(activity!, input[:room])
          name = Name.clean(input[:name])
          return if room[:name] == name

          set = { activity: input[:activity], room: room[:id], name: name }
          [entry('room_set', set), *(told(set) if room[:open])]
        end

        private

        def told(set)
          [entry('room_set', set, on: :sitting), entry('room_named', set.slice(:name), on: place_stream(set[:room]))]
        end
      end
    end
  end
end
