# frozen_string_literal: true

module Veranda
  module Store
    # Everybody who can be named in a recording, in the order in which they first came to the class: who came, who left something on one of
    # its boards before, and who is in the course.
    class Casting
      # @param archive [Archive]
      def initialize(archive)
        @archive = archive
      end

      # @param recording [Core::Recordings::Recording]
      # @param course_id [String]
      # @return [Array<Hash>] `{ id:, name:, staff: }`; those who are called other names elsewhere are there once for each
      def call(recording, course_id)
        roster = @archive.people.roster(course_id)
        roles = roster.to_h { |row| row.values_at(:id, :role) }
        rows = came(recording) + drew(recording) + roster.map { |row| row.slice(:id, :name) }
        rows.uniq.map { |row| { **row, staff: Core::Person::STAFF.include?(row[:role] || roles[row[:id]]) }.slice(:id, :name, :staff) }.uniq
      end

      private

      def came(recording)
        name = Core::Streams::StreamName.sitting(recording.sitting.id)
        joined = @archive.log.bodies(name, 'joined').flat_map { |body| body[:people] }
        # Of recordings that were brought from elsewhere.
        there = @archive.log.bodies(name, Core::Streams::Fold::STOOD).flat_map { |body| body[:view][:seats] }
        (joined + there).map { |person| person.slice(:id, :name, :role) }
      end

      def drew(recording)
        boards = recording.streams.select { |name| Core::Streams::StreamName.kind(name) == :board }
        boards.flat_map { |name| @archive.log.state(name).first.authors.map { |id, name_then| { id: id, name: name_then } } }
      end
    end
  end
end
