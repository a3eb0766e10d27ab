# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # The time of some rooms: more of it, none that is set (held open), or so much from now on. Closing them is giving them no more time:
      # they have the grace that was planned, or that is given here, to finish, and are then brought back ({BringBack}).
      class SetTime < RoomsCommand
        on :staff, 'rooms.time'
        touches { |concern| RoomsCommand.place_streams(concern, concern.input[:rooms]) }

        # What may be left at most, in ms.
        LONGEST = 12 * 3_600_000

        contract do
          required(:activity).value(Types::ID)
          required(:rooms).value(:array, min_size?: 1, max_size?: Groups::Sizes::MOST_ROOMS).each(Types::ID)
          # `more` seconds (or fewer), `left` seconds from now, or `hold`.
          optional(:more).value(:integer, gteq?: -36_000, lteq?: 36_000)
          optional(:left).value(:integer, gteq?: 0, lteq?: 36_000)
          optional(:hold).value(:bool)
          optional(:grace).value(:integer, gteq?: 0, lteq?: 600)
        end

        def decide
          teaching!
          activity = open_activity!
          raise Refusal.new(:bad_input, 'Say how much more time, how much is left, or that they stay open.') unless one?

          input[:rooms].uniq.filter_map { |id| timed(open_room!(activity, id)) }
        end

        private

        def one? = [input.key?(:more), input.key?(:left), input[:hold]].one?

        def timed(room)
          on = place_stream(room[:id])
          now = scene.of(on).room
          ends_at = ends(now)
          body = { ends_at: ends_at, grace: input[:grace] || now[:grace] }
          entry('room_timed', body, on: on) unless now.slice(:ends_at, :grace) == body
        end

        # Whose time is over already gets more from now on.
        def ends(room)
          return if input[:hold]
          return scene.at + (input[:left] * 1000) if input[:left]

          from = [room[:ends_at] || scene.at, scene.at].max
          (from + (input[:more] * 1000)).clamp(scene.at, scene.at + LONGEST)
        end
      end
    end
  end
end
