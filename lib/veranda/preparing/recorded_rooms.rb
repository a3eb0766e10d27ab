# frozen_string_literal: true

module Veranda
  module Preparing
    # The breakout rooms that somebody who watches a recording may look into, while they were open.
    class RecordedRooms
      # @param archive [Store::Archive]
      # @param sitting_id [String]
      # @param recording [Core::Recordings::Recording]
      def initialize(archive, sitting_id, recording)
        names = Core::Streams::StreamName
        @sitting = archive.sittings.state(sitting_id)
        @staff = archive.log.state(names.staff(sitting_id)).first
        @clock = recording.clock
      end

      # @param viewer [String, nil] id of who watches, where that is known
      # @param teaches [Boolean]
      # @return [Array<Hash>] `{ id:, name:, activity:, from:, to:, boards:, heard: }`, `from` and `to` in ms of the recording, `heard`
      #   whether they hear and see what was recorded in it
      def seen_by(viewer, teaches:)
        @sitting.activities.flat_map do |activity|
          from, to = [activity[:opened_at], activity[:closed_at] || @sitting.ended_at].map { |at| @clock.time(at) }
          next [] unless to > from

          rooms = Core::Access.recorded_rooms(@staff.activities[activity[:id]], viewer, teaches: teaches)
          rooms.map do |room|
            { **room.slice(:id, :name, :boards), activity: activity[:name], from: from, to: to,
                                                 heard: Core::Access.heard_room?(room, viewer, teaches: teaches) }
          end
        end
      end

      # @return [Hash]
      # @raise [Core::Refusal] `no_such_room`, the same for one that is not there as for one that is not theirs
      def fetch(room, viewer, teaches:)
        seen_by(viewer, teaches: teaches).find { |one| one[:id] == room } ||
          raise(Core::Refusal.new(:no_such_room, 'There is no such room in this recording.'))
      end
    end
  end
end
