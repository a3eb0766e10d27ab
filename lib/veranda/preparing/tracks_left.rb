# frozen_string_literal: true

module Veranda
  module Preparing
    # Which files of sound and picture may be given out of a recording: whole tracks of which nothing was cut, and parts of others. What is
    # still to be made is given to nobody: hidden comes before complete.
    class TracksLeft
      # ms; of less nothing would be noticed.
      LEAST = 300

      # @param archive [Store::Archive]
      # @param recording [Core::Recordings::Recording]
      def initialize(archive, recording)
        @archive = archive
        @recording = recording
        @id = recording.sitting.id
      end

      # @param rooms [Array<String>] ids of breakout rooms that are heard too
      # @return [Array<Hash>] `{ id:, place:, person_id:, kind:, began_at:, length:, file: }`
      def given(rooms: [])
        @recording.tracks(@archive.tracks.of(@id), rooms: rooms).flat_map { |track| whole?(track) ? [track] : left(track) }
      end

      # One of them, without looking through all: players ask for it piece by piece.
      # @param id [String] of a track, or of a part of one
      # @return [Hash, nil]
      def find(id, rooms: [])
        part = @archive.track_parts.find(id)
        track = @archive.tracks.find(@id, part ? part[:track_id] : id) or return
        return if @recording.tracks([track], rooms: rooms).empty?
        return (track if whole?(track)) unless part

        left(track, { part.values_at(:track_id, :began_at, :ended_at) => part }).first
      end

      # @return [Array<Array(Hash, Integer, Integer)>] tracks, with from and to, of which there is no part yet
      def missing
        @archive.tracks.of(@id).reject { |track| whole?(track) }.flat_map { |track| parts(track) }.reject { |part| made.key?(part) }
                .map { |id, from, to| [@archive.tracks.find(@id, id), from, to] }
      end

      # @return [Array<Hash>] rows of parts that are of no use any more
      def needless
        wanted = @archive.tracks.of(@id).reject { |track| whole?(track) }.flat_map { |track| parts(track) }
        made.except(*wanted).values
      end

      private

      def whole?(track) = @recording.left_of(track) == [[track[:began_at], track[:began_at] + track[:length]]]

      # @return [Array<Array(String, Integer, Integer)>] id of the track, from and to
      def parts(track)
        @recording.left_of(track).select { |from, to| to - from >= LEAST }.map { |from, to| [track[:id], from, to] }
      end

      def left(track, among = made)
        rows = parts(track).filter_map { |part| among[part] }.select { |row| row[:file] }
        rows.map { |row| track.merge(row.slice(:id, :began_at, :length, :file)) }
      end

      def made = @made ||= @archive.track_parts.of(@id).to_h { |row| [row.values_at(:track_id, :began_at, :ended_at), row] }
    end
  end
end
