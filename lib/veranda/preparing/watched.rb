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
        @replay.shown.clean({ chapters: @recording.chapters, boards: boards, rooms: rooms, people: people, tracks: tracks(rooms),
                              you: viewer })
               .merge(id: @sitting.id, opened: @sitting.opened_at, at: clock.stretches.first.first, length: clock.length,
                      stretches: clock.stretches, cuts: @recording.edits.cuts.length, sound: sound)
      end

      private

      def boards = @sitting.boards.select { |board| @replay.boards.include?(Core::Streams::StreamName.board(board[:id])) }

      def people
        @replay.people.filter_map { |id| @sitting.seats[id] }.map { |seat| { id: seat.id, name: seat.name, role: seat.role } }
      end

      # What of the main room, and of these others, can be heard and seen.
      def tracks(rooms)
        left.given(rooms: rooms.select { |room| room[:heard] }.map { |room| room[:id] }).map do |track|
          room = track[:place] unless track[:place] == Core::Sittings::Places::MAIN
          { **track.slice(:id, :kind, :length), person: track[:person_id], from: track[:began_at], **{ room: room }.compact }
        end
      end

      # While parts are being made it is as if the track itself was.
      def sound
        state = @archive.tracks.state(@sitting.id)
        state == 'ready' && left.missing.any? ? 'waiting' : state
      end

      def left = @left ||= TracksLeft.new(@archive, @recording)
    end
  end
end
