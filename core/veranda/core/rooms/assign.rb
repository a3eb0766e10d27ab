# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Staff put people into other rooms, or into none, before rooms open and while they are open. `from` is the place that each is in, as
      # whoever moves them sees it.
      class Assign < RoomsCommand
        on :staff, 'rooms.assign'
        touches :sitting, :main
        touches { |concern| RoomsCommand.place_streams(concern, concern.input[:moves].map { |move| move[:from] }) }
        begins { |concern| concern.input[:moves].map { |move| concern.own_of(move[:person]) } }

        contract do
          required(:activity).value(Types::ID)
          required(:moves).value(:array, min_size?: 1, max_size?: 50).each do
            hash do
              required(:person).value(Types::ID)
              required(:room).maybe(Types::ID)
              optional(:from).value(Types::ID)
            end
          end
        end

        def decide
          teaching!
          activity = activity!
          moves = input[:moves].uniq { |move| move[:person] }
          moves.each { |move| room!(activity, move[:room]) if move[:room] }
          assigned = entry('assigned', { activity: activity[:id], moves: moves.map { |move| move.slice(:person, :room) } })
          activity[:state] == 'open' ? [assigned, *moves.flat_map { |move| moved(activity, move) }] : assigned
        end

        private

        def moved(activity, move)
          seat = sitting.seats[move[:person]]
          return [] unless seat && sitting.in?(seat.id)

          to = move[:room] ? open_room!(activity, move[:room])[:id] : Sittings::Places::MAIN
          return [] if seat.place == to
          raise Refusal.new(:moved_on, "#{seat.name} has just gone to another room. Look where they are.") unless seat.place == move[:from]

          taken_to(to, [seat.id])
        end
      end
    end
  end
end
