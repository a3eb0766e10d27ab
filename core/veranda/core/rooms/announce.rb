# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # Words to every open room, which stay in view until each has read them.
      class Announce < RoomsCommand
        on :staff, 'rooms.announce'
        touches { |concern| RoomsCommand.place_streams(concern, concern.input[:rooms]) }
        # Letters.
        LONGEST = 500

        contract do
          required(:activity).value(Types::ID)
          required(:rooms).value(:array, min_size?: 1, max_size?: Groups::Sizes::MOST_ROOMS).each(Types::ID)
          required(:id).value(Types::ID)
          required(:words).filled(:string, max_size?: LONGEST)
        end

        def decide
          teaching!
          activity = open_activity!
          words = input[:words].strip
          raise Refusal.new(:post_empty, 'There is nothing written yet.') if words.empty?

          input[:rooms].uniq.map do |id|
            entry('announced', { id: input[:id], words: words, name: by.name }, on: place_stream(open_room!(activity, id)[:id]))
          end
        end
      end
    end
  end
end
