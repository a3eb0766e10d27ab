# frozen_string_literal: true

module Veranda
  module Store
    # Breakout rooms as they outlast their classes: their boards, and who sat with whom.
    class RoomWork
      # Closings of rooms that are looked back at.
      MOST = 500

      # @param db [Sequel::Database]
      # @param log [Log]
      # @param lessons [Lessons]
      def initialize(db, log, lessons)
        @db = db
        @log = log
        @lessons = lessons
      end

      # @param sitting [Hash] `{ id:, lesson_id:, rehearsal: }` of the class in which people are to be dealt
      # @return [Array<Array<Array<String>>>] people of each room of each earlier activity of the course and of this class, oldest first;
      #   not of other rehearsals
      def who_sat(sitting)
        course = @db[:lessons].where(id: sitting[:lesson_id]).get(:course_id)
        classes = @db[:sittings].join(:lessons, id: :lesson_id).where(course_id: course)
        classes = classes.where(Sequel.|({ rehearsal: false }, { Sequel[:sittings][:id] => sitting[:id] }))
        streams = classes.select(Sequel.join(['staff/', Sequel[:sittings][:id]]))
        rows = @db[:entries].where(kind: 'rooms_closed', stream: streams).reverse(:at).limit(MOST)
        rows.select_map(Sequel.cast(:body, String)).reverse.map do |body|
          JSON.parse(body)['rooms'].map { |room| room['sat'] }
        end
      end

      # Activities that are looked through, and moments of each that count for its pulse, at most.
      MOST_EARLIER = 40
      MOST_MOMENTS = 4_000

      # @param sitting [Hash]
      # @param classes [Array<Hash>] of the same lesson, newest first
      # @return [Array<Hash>] `{ activity:, name:, at:, rooms: [{ id:, name:, people:, boards: }] }` of activities that are
      #   over, newest first
      def earlier(sitting, classes)
        classes = classes.select { |row| row[:id] == sitting[:id] } if sitting[:rehearsal]
        classes.flat_map { |row| over_in(row[:id]) }.sort_by { |activity| -(activity[:at] || 0) }.first(MOST_EARLIER)
      end

      # @param sitting_id [String]
      # @param activity_id [String]
      # @param now [Integer] ms since the epoch
      # @return [Array<Hash>] see {Core::Rooms::Pulse}
      def pulse(sitting_id, activity_id, now)
        rooms = open_rooms(sitting_id, activity_id)
        of = rooms.flat_map { |room| streams(sitting_id, room).map { |stream| [stream, room[:id]] } }.to_h
        at = moments(of.keys, now).group_by { |stream, _| of[stream] }.transform_values { |rows| rows.map(&:last) }
        opened_at = opened(sitting_id)[activity_id] || now
        Core::Rooms::Pulse.of(rooms.map { |room| { id: room[:id], opened_at: opened_at, at: at[room[:id]] || [] } }, now)
      end

      # Makes a board for each room, with what is on another one now; those that are missing, when it is done again.
      # @param rooms [Array<Hash>] `{ id:, name:, from: }`, `from` the board that is copied (a row), if any
      # @param act [String] id of what they are made for
      # @return [Hash{String => Array<Hash>}] `{ id:, name:, first_page: }` by id of the room
      def make_boards(sitting, rooms, act = Ids.call)
        taken = {}
        rooms.to_h do |room|
          [room[:id], room[:from].each_with_index.map { |row, i| make_board(sitting, room, row, taken, [act, i]) }]
        end
      end

      # Lets go of boards that were made in an act and came to no room.
      # @param sitting_id [String]
      # @param act [String]
      def tidy(sitting_id, act)
        made = @db[:boards].where(sitting_id: sitting_id, made_for: act).select_map(:id)
        known = staff(sitting_id).activities if made.any?
        needless = made.reject { |id| known.board(id) }
        @db.transaction do
          @db[:boards].where(id: needless).delete
          @log.forget(needless.map { |id| Core::Streams::StreamName.board(id) })
        end
      end

      private

      def names = Core::Streams::StreamName
      def staff(sitting_id) = @log.state(names.staff(sitting_id)).first

      # @return [Hash{String => Integer}] when each activity was opened
      def opened(sitting_id)
        @log.state(names.sitting(sitting_id)).first.activities.to_h { |activity| activity.values_at(:id, :opened_at) }
      end

      def open_rooms(sitting_id, activity_id)
        activity = staff(sitting_id).activities[activity_id] or return []
        activity[:rooms].select { |room| room[:open] }
      end

      def over_in(sitting_id)
        at = opened(sitting_id)
        staff(sitting_id).activities.to_a.select { |activity| activity[:state] == 'closed' }.map do |activity|
          { activity: activity[:id], sitting: sitting_id, name: activity[:name], at: at[activity[:id]],
            rooms: activity[:rooms].map { |room| made(room) } }
        end
      end

      def made(room) = { **room.slice(:id, :name, :boards), people: room[:sat], shared: room[:shared] || false }

      def streams(sitting_id, room)
        [names.exchange(sitting_id, room[:id]), names.place(sitting_id, room[:id]), *room[:boards].map { |board| names.board(board[:id]) }]
      end

      def moments(streams, now)
        rows = @db[:entries].where(stream: streams, kind: %w[posted edited prop_used page_added spoke]).where { at > now - Core::Rooms::Pulse::LATELY }
        rows.reverse(:at).limit(MOST_MOMENTS).select_map(%i[stream at])
      end

      # @return [Array(Object, Integer)] what is on a board, and since when
      def on_board(id) = id ? @log.state(Core::Streams::StreamName.board(id)).values_at(0, 2) : [nil, 0]

      def board_id(room, made_for)
        "#{room[:id]}#{Core::Rooms::Activities::BEFORE_BOARD}#{Ids.of([room[:id], *made_for].join(' '))}"
      end

      LONGEST_NAME = 80
      private_constant :LONGEST_NAME

      # @param made_for [Array(String, Integer)] the act, and which board it is of the room
      def make_board(sitting, room, row, taken, made_for)
        state, at = taken[row[:id]] ||= on_board(row[:id])
        id = board_id(room, made_for)
        name = row[:room_id] ? row[:name] : "#{row[:name][0, LONGEST_NAME - 3 - room[:name].length]} (#{room[:name]})"
        first_page = row[:first_page] || Core::Boards::Board::FIRST_PAGE
        @db.transaction do
          facts = { made_for: made_for.first, audience: 'room', room_id: room[:id], sitting_id: sitting[:id], outside: 'read',
                    first_page: first_page,
                    copy_of: (row[:id] unless row[:room_id]), rehearsal_id: (sitting[:id] if sitting[:rehearsal]) }
          next unless @db[:boards].where(id: id).empty?

          @lessons.add_board(sitting[:lesson_id], id: id, name: name, **facts)
          @lessons.fill(id, state.as_taken_in, at) unless at.zero?
        end
        { id: id, name: name, first_page: first_page }
      end
    end
  end
end
