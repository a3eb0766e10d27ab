# frozen_string_literal: true

module Veranda
  module Preparing
    # Deals people of a class into rooms, by what the course knows of who has sat with whom, and opens the rooms with a board each.
    class Grouping
      # @param archive [Store::Archive]
      # @param sitting_id [String]
      def initialize(archive, sitting_id)
        @archive = archive
        @row = archive.sittings.fetch(sitting_id)
      end

      # Those who are in the main room; before the class, its roster.
      # @param plan [Hash] see {Core::Rooms::GroupPlan}
      # @param name [String]
      # @param activity [String] its id; dealt anew when it is there
      # @param step [String, nil]
      # @param seed [Integer]
      # @param earlier [String, nil] id of an activity, of this class or of an earlier one of the lesson, whose people and work are taken
      #   over
      # @param cue [Hash] `cue:` and `cued:`, where it is done for a cue
      # @return [Core::Groups::Dealt, nil] nil where nothing was computed
      # @raise [Core::Refusal] `too_few`, and as {Core::Rooms::DealRooms}
      def deal(plan:, name:, activity: Store::Ids.call, step: nil, seed: Random.new_seed % (1 << 32), earlier: nil, **cue)
        return take_over(earlier, plan, name, activity, step) if earlier

        people = to_deal(plan)
        raise Core::Refusal.new(:too_few, 'For rooms there must be at least two people in the class.') if people.length < 2

        dealt = (computed(plan, people, seed) if plan.fetch(:way, 'deal') == 'deal')
        told(**cue, plan: plan, name: name, id: activity, step: step, seed: seed, **computed_facts(dealt),
                    rooms: rooms(plan, dealt, people))
        dealt
      end

      # Safe to do twice under the same `act`.
      # @param activity [String]
      # @param act [String] id under which that is done once
      def open_rooms(activity, act:)
        tidily(act) do
          found = known_activity(activity)
          # Somebody else may have opened them at this very moment, with boards of their own.
          furnish(found, act) unless found[:state] == 'open'
        end
      end

      # @return [Array<Hash>] `{ id:, name: }` of the students who would be dealt
      def people = to_deal({}).map { |id| { id: id, name: names[id] } }

      # @return [Array<Hash>] `{ id:, name: }` of everybody on the roster or in the class, here or not
      def known = names.map { |id, name| { id: id, name: name } }

      # Deals; or opens what was dealt when the cue was fired before. Other server processes may do the same for the same firing, and come
      # to the same id.
      # @param cue [String] id
      # @param cued [Integer] which firing of the cue it is
      # @param wishes [Hash] as for {#deal}
      def cue(cue, cued, **wishes)
        found = staff.activities.of_cue(cue)
        id = "#{cue}-#{cued}"
        tidily(id) do
          next if found && (found[:state] == 'open' || found[:cued] == cued)
          next furnish(found, id) if found && found[:state] == 'dealt'

          deal(activity: found ? id[-LONGEST_ID..] || id : cue, cue: cue, cued: cued, **wishes)
        end
      end

      LONGEST_ID = 40
      private_constant :LONGEST_ID

      # Safe to do twice under the same `act`.
      # @param activity [String]
      # @param name [String]
      # @param act [String] id under which that is done once
      # @return [String] id of the new room
      def add(activity, name, act:)
        room = { id: Store::Ids.of(act), name: Core::Name.clean(name)[0, Core::Rooms::GroupPlan::LONGEST_NAME] }
        tidily(act) do
          found = known_activity(activity)
          open = found[:state] == 'open'
          boards = open ? boards_for(found, [{ **room, boards: [] }], act)[room[:id]] : []
          ends_at = ends_at(found) if open
          perform('rooms.add', id: act, activity: activity, room: room[:id], name: room[:name], boards: boards, ends_at: ends_at)
        end
        room[:id]
      end

      # Gives every open room, or some, a copy of one of the class's boards to work on. Safe to do twice under the same `act`.
      # @param activity [String]
      # @param board [String] id
      # @param rooms [Array<String>, nil] ids; all that are open, without it
      # @param act [String] id under which that is done once
      # @raise [Core::Refusal] `rooms_closed`, `board_for_staff`, `no_such_board`
      def give(activity, board, rooms = nil, act:)
        open = (staff.activities[activity] || {}).fetch(:rooms, []).select { |room| room[:open] }
        open = open.select { |room| rooms.include?(room[:id]) } if rooms
        raise Core::Refusal.new(:rooms_closed, 'These rooms are closed.') if open.empty?

        row = @archive.lessons.board(board)
        unless row[:lesson_id] == @row[:lesson_id] && Core::Lessons::Audience.everyone?(row)
          raise Core::Refusal.new(:board_for_staff, 'Students cannot see that board. Change its audience first.')
        end

        tidily(act) do
          made = @archive.room_work.make_boards(@row, open.map { |room| { **room.slice(:id, :name), from: [row] } }, act)
          perform('rooms.give', id: act, activity: activity, rooms: made.map { |room, boards| { id: room, board: boards.first } })
        end
      end

      private

      def known_activity(id)
        staff.activities[id] or raise Core::Refusal.new(:no_such_activity, 'There are no such rooms any more. Deal again.')
      end

      def furnish(activity, act)
        boards = boards_for(activity, activity[:rooms], act)
        rooms = activity[:rooms].map { |room| { id: room[:id], boards: boards[room[:id]] } }
        people = activity[:rooms].flat_map { |room| room[:people] } | here.map { |row| row[:id] }
        perform('rooms.open', id: act, activity: activity[:id], rooms: rooms, people: people)
      end

      # Boards that were made for rooms and come to none, because what they were made for cannot be done or was done by somebody else, are
      # let go of. After a fault they are not: it is tried again.
      def tidily(act)
        yield.tap { @archive.room_work.tidy(@row[:id], act) }
      rescue Core::Refusal
        @archive.room_work.tidy(@row[:id], act)
        raise
      end

      def names_of = Core::Streams::StreamName
      def state(name) = @archive.log.state(name).first
      def sitting = @sitting ||= state(names_of.sitting(@row[:id]))
      def staff = @staff ||= state(names_of.staff(@row[:id]))
      def course = @course ||= @archive.lessons.fetch(@row[:lesson_id])[:course_id]

      def perform(wire_name, id: Store::Ids.call, **input)
        Deciding::Perform.call(@archive.log, wire_name, input, stream: names_of.staff(@row[:id]), id: id)
      end

      def told(id:, **facts)
        Deciding::Perform.call(@archive.log, 'rooms.deal', { id: id, **facts }, stream: names_of.staff(@row[:id]))
      end

      def to_deal(plan)
        rows = sitting.open? ? here : @archive.people.roster(course)
        rows.select { |row| plan[:staff] || !Core::Person::STAFF.include?(row[:role]) }.map { |row| row[:id] }.sort
      end

      def here
        sitting.present.select { |seat| seat.place == Core::Sittings::Places::MAIN }.map { |seat| { id: seat.id, role: seat.role } }
      end

      def names
        @names ||= @archive.people.roster(course).to_h { |row| row.values_at(:id, :name) }
                           .merge(sitting.seats.transform_values(&:name))
      end

      def computed(plan, people, seed)
        meetings = Core::Groups::Meetings.new(@archive.room_work.who_sat(@row))
        roster = @archive.people.roster(course).reject { |row| Core::Person::STAFF.include?(row[:role]) }.map { |row| row[:id] }
        wishes = (plan[:wishes] || []).map { |wish| Core::Groups::Wish.from(wish) }
        Core::Groups::Deal.new(people: people, sizes: Core::Rooms::GroupPlan.sizes(plan, people.length), wishes: wishes, meetings: meetings,
                               traits: traits(wishes), roster: roster, seed: seed).call
      end

      # What is known of people by which they may be mixed or levelled: how much they have been heard over the course.
      def traits(wishes)
        return {} unless wishes.any? { |wish| wish.by == 'heard' }

        tallies = @archive.log.tallies(@archive.sittings.streams_of_course(course), Core::Insights::Heard::KINDS.keys,
                                       from: 0, spell: Core::Insights::Heard::SPELL)
        { 'heard' => names.keys.to_h { |id| [id, tallies.dig(id, :spells) || 0] } }
      end

      def computed_facts(dealt)
        return { again: 0, bound: 0, says: [] } unless dealt

        { again: dealt.again.length, bound: dealt.bound, says: Core::Rooms::Unmet.sentences(dealt, names) }
      end

      # Rooms for people to choose, or to be put into by hand, are empty at first.
      def rooms(plan, dealt, people)
        groups = dealt ? dealt.rooms : Core::Rooms::GroupPlan.sizes(plan, people.length).map { [] }
        groups.each_with_index.map { |some, i| { id: Store::Ids.call, name: Core::Rooms::GroupPlan.room_name(plan, i), people: some } }
      end

      def boards_for(activity, rooms, act)
        lacking = rooms.select { |room| room[:boards].empty? }
        made = @archive.room_work.make_boards(@row, lacking.map { |room| { **room.slice(:id, :name), from: sources(activity, room) } }, act)
        rooms.to_h { |room| [room[:id], room[:boards].empty? ? made[room[:id]] : room[:boards]] }
      end

      # What a room's boards are copies of: of the work it goes on with, else of the plan's or the step's board; else there is an empty one.
      def sources(activity, room)
        ids = room[:from] || [activity[:plan][:board] || staff.step(activity[:step])&.fetch(:board, nil)].compact
        rows = ids.map { |id| @archive.lessons.board(id) }.select { |row| copied?(row, room) }
        rows.empty? ? [{ id: nil, name: activity[:name], first_page: nil }] : rows
      end

      # A board that not everyone may see comes into no room; but the work that a room goes on with does.
      def copied?(row, room)
        row[:lesson_id] == @row[:lesson_id] && (Core::Lessons::Audience.everyone?(row) || (room[:from] && row[:room_id]))
      end

      # A room that is added ends with the others.
      def ends_at(activity)
        open = activity[:rooms].find { |room| room[:open] }
        open && state(names_of.place(@row[:id], open[:id])).room&.fetch(:ends_at)
      end

      def take_over(earlier, plan, name, activity, step)
        found = earlier_one(earlier) or raise Core::Refusal.new(:no_such_activity, 'There is no such activity of this lesson.')
        rooms = found[:rooms].map do |room|
          { id: Store::Ids.call, name: room[:name], people: room[:sat] | room[:people], from: room[:boards].map { |board| board[:id] } }
        end
        told(plan: plan, name: name, id: activity, step: step, seed: 0, again: 0, bound: 0, says: [], rooms: once_each(rooms))
        nil
      end

      # Who sat in two rooms is in the first.
      def once_each(rooms)
        seen = []
        rooms.map { |room| room.merge(people: room[:people] - seen).tap { seen |= room[:people] } }
      end

      def earlier_one(id)
        @archive.sittings.of_lesson(@row[:lesson_id], rehearsal: @row[:rehearsal]).lazy.filter_map do |row|
          state(names_of.staff(row[:id])).activities[id]
        end.first
      end
    end
  end
end
