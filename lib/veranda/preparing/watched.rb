# frozen_string_literal: true

module Veranda
  module Preparing
    # What a player needs of a recording before it plays: who and what is in it, and of what there is sound.
    class Watched
      # @param archive [Store::Archive]
      # @param replay [Store::Replay]
      def initialize(archive, replay)
        @archive = archive
        @replay = replay
        @recording = replay.recording
        @sitting = @recording.sitting
      end

      # @param viewer [String, nil] id of who watches, where that is known
      # @param teaches [Boolean]
      # @return [Hash]
      def facts(viewer, teaches:)
        rooms = RecordedRooms.new(@archive, @sitting.id, @recording).seen_by(viewer, teaches: teaches)
        clock = @recording.clock
        # Who teaches edits it, and has to know who is who; what they watch is what all do.
        @replay.shown.clean({ chapters: @recording.chapters, boards: @sitting.boards, rooms: rooms, people: people, tracks: tracks(rooms),
                              you: viewer })
               .merge(id: @sitting.id, at: clock.stretches.first.first, length: clock.length, stretches: clock.stretches,
                      cuts: @recording.edits.cuts.length, sound: @archive.tracks.state(@sitting.id))
      end

      private

      def people
        @replay.people.filter_map { |id| @sitting.seats[id] }.map { |seat| { id: seat.id, name: seat.name, role: seat.role } }
      end

      # What of the main room, and of these others, can be heard and seen.
      def tracks(rooms)
        heard = rooms.select { |room| room[:heard] }.map { |room| room[:id] }
        @recording.tracks(@archive.tracks.of(@sitting.id), rooms: heard).map do |track|
          room = track[:place] unless track[:place] == Core::Sittings::Places::MAIN
          { **track.slice(:id, :kind, :length), person: track[:person_id], from: track[:began_at], **{ room: room }.compact }
        end
      end
    end
  end
end
