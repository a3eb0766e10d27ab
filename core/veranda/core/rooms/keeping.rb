# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # What happens when a room closes: those who sat there find its boards again.
      module Keeping
        private

        # @param activity [Hash]
        # @param room [Hash]
        # @param people [Array<String>] ids of those who sat there, whose own streams the command has declared
        # @return [Array<Streams::Draft>]
        def kept(activity, room, people)
          body = { activity: activity[:id], title: activity[:name], room: room[:id], name: room[:name], boards: room[:boards] }
          people.map { |id| entry('room_kept', body, on: scene.own_of(id)) }
        end
      end
    end
  end
end
