# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Takes those to their open room who are assigned to one and not there yet: who came late, or did not go when they were asked.
      class Gather < RoomsCommand
        on :sitting, 'rooms.gather'
        touches :main
        begins { |concern| concern.input[:people].map { |id| concern.own_of(id) } }
        contract { required(:people).value(:array, min_size?: 1, max_size?: MOST_MOVED).each(Types::ID) }

        # @param sitting [Sittings::Sitting]
        # @param staff [Sittings::StaffFacts]
        # @param at [Integer] ms since the epoch
        # @return [Array<String>] ids of those who are still to be taken to their room
        def self.due(sitting, staff, at)
          activity = staff.activities.open
          return [] if activity.nil? || (activity[:ask_until] && at < activity[:ask_until])

          staff.activities.open_rooms.flat_map { |room| room[:people] }.select { |id| Gather.in_main?(sitting, id) }
        end

        def self.in_main?(sitting, id) = sitting.in?(id) && sitting.seats[id].place == Sittings::Places::MAIN

        def decide
          return unless sitting.open?

          due = Gather.due(sitting, plan, scene.at) & input[:people]
          due.group_by { |id| plan.activities.room_for(id) }.flat_map { |room, people| taken_to(room, people) }
        end
      end
    end
  end
end
