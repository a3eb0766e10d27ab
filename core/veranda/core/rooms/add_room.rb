# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # One more room, empty, with the boards that were made for it when the others are open.
      class AddRoom < RoomsCommand
        include Furnishing

        on :staff, 'rooms.add'
        touches :sitting
        begins do |concern|
          id = concern.input[:room]
          [*RoomsCommand.place_streams(concern, [id]), Streams::StreamName.exchange(concern.sitting_id, id)]
        end

        contract do
          required(:activity).value(Types::ID)
          required(:room).value(Types::ID)
          required(:name).filled(:string, max_size?: GroupPlan::LONGEST_NAME)
          required(:boards).value(:array, max_size?: 20).each { hash(OpenRooms::BOARD) }
          optional(:ends_at).maybe(:integer, :moment?)
        end

        def decide
          teaching!
          @activity = activity!
          return if @activity[:rooms].any? { |room| room[:id] == input[:room] }

          room_left!
          set = { activity: @activity[:id], room: input[:room], name: input[:name], boards: input[:boards] }
          [entry('room_set', set), *(opened(set) if @activity[:state] == 'open')]
        end

        private

        def room_left!
          return if @activity[:rooms].length < Groups::Sizes::MOST_ROOMS

          raise Refusal.new(:too_many_rooms, "There are #{Groups::Sizes::MOST_ROOMS} rooms at most.")
        end

        def opened(set)
          raise Refusal.new(:rooms_changed, 'The rooms were opened at this moment. Add it once more.') if input[:boards].empty?

          [entry('room_set', set.slice(:activity, :room, :name), on: :sitting),
           *furnished(@activity, { id: input[:room], name: input[:name] }, input[:boards], input[:ends_at])]
        end
      end
    end
  end
end
