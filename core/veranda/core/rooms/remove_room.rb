# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Takes a room away, before rooms open or while they are open. Whoever is assigned to it goes to the smallest of the others; what
      # was made in it is kept. `people` are those who are in it or assigned to it, as whoever takes it away sees it.
      class RemoveRoom < RoomsCommand
        include Keeping

        on :staff, 'rooms.remove'
        touches :sitting, :main
        begins do |concern|
          [*RoomsCommand.place_streams(concern, [concern.input[:room]]), *concern.input[:people].map { |id| concern.own_of(id) }]
        end

        contract do
          required(:activity).value(Types::ID)
          required(:room).value(Types::ID)
          required(:people).value(:array, max_size?: 300).each(Types::ID)
        end

        def decide
          teaching!
          @activity = activity!
          @room = room!(@activity, input[:room])
          @others = @activity[:rooms].reject { |room| room[:id] == @room[:id] || (@room[:open] && !room[:open]) }
          raise Refusal.new(:only_room, 'It is the only room. Bring everyone back instead.') if @others.empty?

          known!
          @room[:open] ? [assigned, *closed] : [assigned, entry('room_gone', { activity: @activity[:id], room: @room[:id] })]
        end

        private

        def inside = sitting.seats.each_value.select { |seat| seat.place == @room[:id] }.map(&:id)

        def known!
          return if ((@room[:open] ? inside : []) - input[:people]).empty?

          raise Refusal.new(:moved_on, 'Somebody has just gone into that room. Look who is there and take it away then.')
        end

        # The smallest rooms are filled first.
        def moves
          @moves ||= begin
            counts = @others.to_h { |room| [room[:id], room[:people].length] }
            @room[:people].map do |person|
              to = counts.min_by { |_, count| count }.first
              counts[to] += 1
              { person: person, room: to }
            end
          end
        end

        def assigned = (entry('assigned', { activity: @activity[:id], moves: moves }) if moves.any?)

        def closed
          sat = sitting.sat(@room[:id], scene.at)
          to = moves.to_h { |move| move.values_at(:person, :room) }
          inside.group_by { |id| to[id] || Sittings::Places::MAIN }.flat_map { |place, people| taken_to(place, people) } +
            [entry('rooms_closed', { activity: @activity[:id], rooms: [{ id: @room[:id], sat: sat }] }),
             entry('rooms_closed', { activity: @activity[:id], rooms: [@room[:id]] }, on: :sitting),
             entry('room_closed', on: place_stream(@room[:id])),
             *kept(@activity, @room, sat & input[:people])]
        end
      end
    end
  end
end
