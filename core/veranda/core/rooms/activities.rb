# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # What staff know of the activities of a class: who was dealt where, which boards each room has, and who sat in it.
      #
      # An activity is `{ id:, name:, step:, state:, plan:, seed:, rooms:, again:, bound:, says:, ask_until:, out: }`, its `state`
      # `dealt`, `open` or `closed`, `out` those whom staff put into no room; a room is `{ id:, name:, people:, boards:, sat:, open:,
      # from:, shared: }`, `people` those assigned to it, `sat` those who were there, `from` of which its boards will be copies,
      # `shared` whether all of the class may see what was made in it.
      class Activities
        # In one class.
        MOST = 20
        # At the front of the id of a room's board stands that of its room, so that a board tells where it lies.
        BEFORE_BOARD = '--'

        def initialize(rows = [])
          @by_id = rows.to_h { |row| [row[:id], row] }
        end

        # Rooms are changed where they stand.
        def initialize_copy(_other)
          super
          @by_id = @by_id.transform_values do |activity|
            { **activity, rooms: activity[:rooms].map { |room| { **room, people: room[:people].dup } } }
          end
        end

        # @return [Array<Hash>]
        def to_a = @by_id.values

        # @return [Hash, nil]
        def [](id) = @by_id[id]

        # @return [Hash, nil] the one whose rooms are open now
        def open = @by_id.each_value.find { |activity| activity[:state] == 'open' }

        # @param cue [String] id
        # @return [Hash, nil] what it dealt last
        def of_cue(cue) = to_a.reverse_each.find { |activity| activity[:cue] == cue }

        # @param person [String]
        # @return [String, nil] the open room that somebody is assigned to
        def room_for(person) = open_rooms.find { |room| room[:people].include?(person) }&.fetch(:id)

        # @return [Array<Hash>] rooms that are open
        def open_rooms = (open&.fetch(:rooms) || []).select { |room| room[:open] }

        # @return [Boolean] whether staff read and hear what goes on in rooms that they are not in
        def doors_open? = open&.dig(:plan, :open_doors) || false

        # @param id [String] of a room
        # @return [Hash, nil]
        def room(id) = @by_id.each_value.flat_map { |activity| activity[:rooms] }.find { |room| room[:id] == id }

        # @param id [String] of a board
        # @return [Hash, nil] `{ id:, name:, first_page:, room:, open:, sat: }`
        def board(id)
          room = room(Activities.room_of_board(id) || return)
          board = room && room[:boards].find { |one| one[:id] == id }
          board && as_board(room, board)
        end

        # @param person [String]
        # @param place [String] where they are
        # @return [Array<Hash>] boards of the room that they are in, and of those that are closed in which they sat
        def boards_for(person, place)
          rooms = @by_id.each_value.flat_map { |activity| activity[:rooms] }
          rooms = rooms.select { |room| room[:open] ? room[:id] == place : room[:sat].include?(person) }
          rooms.flat_map { |room| room[:boards].map { |board| as_board(room, board) } }
        end

        # @param board [String] id
        # @return [String, nil] id of the room that it belongs to
        def self.room_of_board(board)
          at = board.index(BEFORE_BOARD)
          at&.positive? ? board[0, at] : nil
        end

        # @return [Integer] how much there is to write down
        def size = @by_id.each_value.sum { |activity| activity[:rooms].sum { |room| 1 + room[:people].length + room[:sat].length } }

        # @param entry [Streams::Entry]
        # @return [Boolean] whether it was of activities
        def apply(entry)
          body = entry.body
          case entry.kind
          when 'dealt' then deal(body)
          when 'assigned' then assign(body)
          when 'room_set' then set(body)
          when 'rooms_given' then give(body)
          when 'room_shared' then change(body) { |activity| the(body[:room], activity) { |room| room[:shared] = body[:on] } }
          when 'room_gone' then change(body) { |activity| activity[:rooms].reject! { |room| room[:id] == body[:room] } }
          when 'rooms_opened' then open_up(body)
          when 'rooms_closed' then close(body)
          else return false
          end
          true
        end

        private

        def as_board(room, board)
          { **board, audience: 'room', room: room[:id], open: room[:open], sat: room[:sat], shared: room[:shared] || false,
                     outside: 'read' }
        end

        def deal(body)
          rooms = body[:rooms].map { |room| { boards: [], sat: [], **room, people: room[:people].dup, open: false } }
          @by_id.delete(body[:id])
          @by_id[body[:id]] = { **body, state: 'dealt', rooms: rooms, ask_until: nil, out: [] }
        end

        def change(body, &) = @by_id[body[:activity]]&.then(&)

        def assign(body)
          change(body) do |activity|
            body[:moves].each do |move|
              activity[:rooms].each { |room| room[:people].delete(move[:person]) }
              activity[:out] = move[:room] ? activity[:out] - [move[:person]] : activity[:out] | [move[:person]]
              activity[:rooms].find { |room| room[:id] == move[:room] }&.fetch(:people)&.push(move[:person])
            end
          end
        end

        def set(body)
          change(body) do |activity|
            room = activity[:rooms].find { |one| one[:id] == body[:room] }
            next room.merge!(body.slice(:name, :from)) if room

            activity[:rooms] << { id: body[:room], name: body[:name], people: [], boards: body[:boards] || [], sat: [],
                                  open: activity[:state] == 'open' }
          end
        end

        def the(id, activity, &) = activity[:rooms].find { |room| room[:id] == id }&.then(&)

        def give(body)
          change(body) do |activity|
            body[:rooms].each { |given| the(given[:id], activity) { |room| room[:boards] += [given[:board]] } }
          end
        end

        def open_up(body)
          change(body) do |activity|
            activity[:state] = 'open'
            activity[:ask_until] = body[:ask_until]
            boards = body[:rooms].to_h { |room| room.values_at(:id, :boards) }
            activity[:rooms].each do |room|
              room[:open] = true
              room[:boards] = boards[room[:id]] || room[:boards]
            end
          end
        end

        def close(body)
          change(body) do |activity|
            sat = body[:rooms].to_h { |room| room.values_at(:id, :sat) }
            activity[:rooms].each do |room|
              next unless sat.key?(room[:id])

              room[:open] = false
              room[:sat] |= sat[room[:id]]
            end
            activity[:state] = 'closed' if activity[:rooms].none? { |room| room[:open] }
          end
        end
      end
    end
  end
end
