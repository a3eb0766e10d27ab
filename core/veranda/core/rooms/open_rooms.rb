# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Opens rooms that were dealt, or that were open before: each is a place of the class with boards, words, rules and time of its own,
      # and all who are assigned go there, or are asked to. One commit: whoever it leaves out is where they were.
      #
      # `people` in the input are those who may be moved; who comes meanwhile is brought by {Gather}.
      class OpenRooms < RoomsCommand
        include Furnishing

        on :staff, 'rooms.open'
        touches :sitting, :main
        touches { |concern| RoomsCommand.place_streams(concern, concern.input[:rooms].map { |room| room[:id] }) }
        begins do |concern|
          ids = concern.input[:rooms].map { |room| room[:id] }
          [*RoomsCommand.place_streams(concern, ids), *ids.map { |id| Streams::StreamName.exchange(concern.sitting_id, id) },
           *concern.input[:people].map { |id| concern.own_of(id) }]
        end

        BOARD = Dry::Schema.JSON do
          required(:id).value(Types::ID)
          required(:name).filled(:string)
          optional(:first_page).value(Types::ID)
        end

        contract do
          required(:activity).value(Types::ID)
          required(:rooms).value(:array, min_size?: 1, max_size?: Groups::Sizes::MOST_ROOMS).each do
            hash do
              required(:id).value(Types::ID)
              required(:boards).value(:array, min_size?: 1, max_size?: 20).each { hash(BOARD) }
            end
          end
          required(:people).value(:array, max_size?: 1_000).each(Types::ID)
        end

        def decide
          teaching!
          going_on!
          @activity = activity!
          return if @activity[:state] == 'open'

          one_at_a_time!
          [unexpected, entry('rooms_opened', { activity: @activity[:id], rooms: input[:rooms], ask_until: ask_until }), told_to_all, paused,
           *rooms.flat_map { |room| furnished(@activity, room, boards_of(room), ends_at) }, *rooms.flat_map { |room| gone_to(room) }]
        end

        private

        def rooms = @activity[:rooms]
        def group_plan = @activity[:plan]
        def boards_of(room) = input[:rooms].find { |one| one[:id] == room[:id] }.fetch(:boards)

        def one_at_a_time!
          open = plan.activities.open
          raise Refusal.new(:rooms_open, "The rooms of “#{open[:name]}” are open. Bring everyone back first.") if open
          return if rooms.map { |room| room[:id] }.sort == input[:rooms].map { |room| room[:id] }.sort

          raise Refusal.new(:rooms_changed, 'The rooms were changed at this moment. Open them once more.')
        end

        def ask_until = group_plan[:ask] && (scene.at + (group_plan[:ask] * 1000))

        def told_to_all
          entry('rooms_opened', { activity: @activity[:id], name: @activity[:name], step: @activity[:step], free: free?(group_plan),
                                  named: group_plan[:named] || false,
                                  rooms: rooms.map { |room| room.slice(:id, :name) } }, on: :sitting)
        end

        # It goes on by itself once all are back, see {BringBack}.
        def paused
          (entry('recording', { on: false, planned: true, rooms: true }, on: :sitting) if group_plan[:unrecorded] && sitting.recording?)
        end

        def ends_at = group_plan[:minutes] && (scene.at + (group_plan[:minutes] * 60_000))

        # Who is here and was in no room when people were dealt, perhaps days ago, goes to the smallest.
        def unexpected = (entry('assigned', { activity: @activity[:id], moves: added }) if added.any?)

        def added
          @added ||= dealt? ? to_the_smallest(input[:people].select { |id| expected_nowhere?(id) }) : []
        end

        def dealt? = group_plan.fetch(:way, 'deal') == 'deal'

        def expected_nowhere?(id)
          here?(id) && !sitting.seats[id].staff? && @activity[:out].none?(id) && rooms.none? { |room| room[:people].include?(id) }
        end

        def to_the_smallest(people)
          counts = rooms.to_h { |room| [room[:id], room[:people].length] }
          people.map do |person|
            room = counts.min_by { |_, count| count }.first
            counts[room] += 1
            { person: person, room: room }
          end
        end

        def here?(id) = sitting.in?(id) && sitting.seats[id].place == Sittings::Places::MAIN

        def gone_to(room)
          people = room[:people] + added.select { |move| move[:room] == room[:id] }.map { |move| move[:person] }
          coming = people.select { |id| input[:people].include?(id) && here?(id) }
          return taken_to(room[:id], coming) unless ask_until

          asked = { room: room[:id], name: room[:name], activity: @activity[:id], until: ask_until }
          coming.map { |id| entry('asked', asked, on: scene.own_of(id)) }
        end
      end
    end
  end
end
