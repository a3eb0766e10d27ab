# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # People were dealt into rooms, which open later ({OpenRooms}). Staff alone know of it. Dealt anew under the same id until then, and
      # under another from then on, so that what was made in rooms is never lost.
      class DealRooms < RoomsCommand
        on :staff, 'rooms.deal'
        looks_at :sitting

        contract do
          required(:id).value(Types::ID)
          required(:name).filled(:string, max_size?: 120)
          required(:step).maybe(Types::ID)
          required(:plan).hash(GroupPlan::CONTRACT)
          required(:seed).value(:integer)
          # The cue and which firing of it that was done for: several server processes may do it, and it is done once.
          optional(:cue).value(Types::ID)
          optional(:cued).value(:integer)
          required(:again).value(:integer, gteq?: 0)
          required(:bound).value(:integer, gteq?: 0)
          required(:says).value(:array, max_size?: 100).each(:string)
          required(:rooms).value(:array, min_size?: 1, max_size?: Groups::Sizes::MOST_ROOMS).each do
            hash do
              required(:id).value(Types::ID)
              required(:name).filled(:string, max_size?: GroupPlan::LONGEST_NAME)
              required(:people).value(:array, max_size?: 1_000).each(Types::ID)
              # Boards that its own are copies of.
              optional(:from).value(:array, max_size?: 20).each(Types::ID)
            end
          end
        end

        def decide
          teaching!
          known = plan.activities[input[:id]]
          return if input[:cued] && known && known[:cued] == input[:cued]

          closed!(known)
          room!
          once!
          entry('dealt', input)
        end

        private

        def closed!(known)
          case known&.fetch(:state)
          when 'open' then raise Refusal.new(:rooms_open, 'These rooms are open. Bring everyone back before you deal again.')
          when 'closed' then raise Refusal.new(:rooms_were_open,
                                               'These rooms were open, and what was made in them is kept. Split the class anew.')
          end
        end

        def room!
          return if plan.activities[input[:id]] || plan.activities.to_a.length < Activities::MOST

          raise Refusal.new(:too_many_activities, "There were #{Activities::MOST} activities in this class. Use one of them again.")
        end

        def once!
          people = input[:rooms].flat_map { |room| room[:people] }
          return if people.uniq.length == people.length

          raise Refusal.new(:in_two_rooms, 'Somebody is in two rooms. Each person can be in one.')
        end
      end
    end
  end
end
