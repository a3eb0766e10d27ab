# frozen_string_literal: true

module Veranda
  module Preparing
    # Activities of a lesson's classes that are over, by name and date, with what may be known of their rooms.
    class PastActivities
      # @param archive [Store::Archive]
      # @param lesson_id [String]
      def initialize(archive, lesson_id)
        @archive = archive
        @lesson = archive.lessons.fetch(lesson_id)
      end

      # @param person [Hash, nil] who asks, unless they teach: they learn of the rooms alone whose boards they may read
      # @return [Array<Hash>] `{ activity:, name:, at:, rooms: [{ id:, name:, people: [{ id:, name: }], boards:, shared: }] }`, newest first
      def call(person = nil)
        row = { lesson_id: @lesson[:id], rehearsal: false }
        rows = @archive.room_work.earlier(row, @archive.sittings.of_lesson(@lesson[:id]))
        rows = readable(rows, Reader.new(@archive, person), person[:id]) if person
        names = @archive.people.names(rows.flat_map { |one| one[:rooms].flat_map { |room| room[:people] } }.uniq)
        rows.map { |one| one.merge(rooms: one[:rooms].map { |room| named(room, names) }) }
      end

      private

      def readable(rows, reader, id)
        seen = ->(room) { (room[:shared] || room[:people].include?(id)) && open?(room, reader) }
        rows = rows.map { |row| row.merge(rooms: row[:rooms].select(&seen)) }
        rows.reject { |row| row[:rooms].empty? }
      end

      def open?(room, reader) = room[:boards].all? { |board| reader.board?(@archive.lessons.board(board[:id]), @lesson) }

      def named(room, names)
        { **room, people: room[:people].filter_map { |id| { id: id, name: names[id] } if names.key?(id) } }
      end
    end
  end
end
