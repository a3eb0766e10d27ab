# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # What a room has when it opens: its board on show, rules, words and time.
      module Furnishing
        private

        # @param activity [Hash]
        # @param room [Hash] `{ id:, name: }`
        # @param boards [Array<Hash>]
        # @param ends_at [Integer, nil] ms since the epoch
        # @return [Array<Streams::Draft>]
        def furnished(activity, room, boards, ends_at)
          on = place_stream(room[:id])
          board = boards.first
          [entry('room_opened', facts(activity, room, boards, ends_at), on: on),
           entry('rules_set', { rules: GroupPlan.rules(activity[:plan]) }, on: on),
           entry('shown', { board: board[:id], page: board[:first_page] || Boards::Board::FIRST_PAGE }, on: on)]
        end

        def free?(plan) = plan[:free] || plan[:way] == 'choice'

        def facts(activity, room, boards, ends_at)
          plan = activity[:plan]
          { activity: activity[:id], name: room[:name], title: activity[:name], boards: boards, words: plan[:words] || '',
            ends_at: ends_at, grace: plan[:grace] || GroupPlan::GRACE, warnings: GroupPlan.warnings(plan),
            free: free?(plan), read: plan[:open_doors] || false, quiet: plan[:unannounced] || false,
            recorded: plan[:recorded] || false,
            leaders: GroupPlan.leaders(plan) }
        end
      end
    end
  end
end
