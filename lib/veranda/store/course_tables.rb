# frozen_string_literal: true

module Veranda
  module Store
    # Keeps the tables of courses and of who belongs to them as the streams say, in the same commit: all that is asked over many courses
    # asks them. They can be made anew from the streams at any time ({.rebuild}).
    module CourseTables
      KINDS = %i[course people].freeze
      private_constant :KINDS

      module_function

      # @return [Boolean]
      def any?(entries) = entries.any? { |entry| ours?(entry) }

      # @param db [Sequel::Database]
      # @param entries [Array<Core::Streams::Entry>]
      def note(db, entries)
        entries.each do |entry|
          next unless ours?(entry)

          id = Core::Streams::StreamName.id(entry.stream)
          case entry.kind
          when 'course_begun', 'course_set' then set(db, id, entry.body)
          when 'enrolled' then enrol(db, id, entry.body[:people])
          when 'role_given' then db[:memberships].where(course_id: id, person_id: entry.body[:id]).update(role: entry.body[:role])
          when 'taken_out' then db[:memberships].where(course_id: id, person_id: entry.body[:id]).delete
          end
        end
      end

      # @param course [Core::Courses::Course]
      # @param people [Core::Courses::People]
      def rebuild(db, id, course, people)
        db.transaction do
          set(db, id, course.facts)
          db[:memberships].where(course_id: id).exclude(person_id: people.to_a.map { |person| person[:id] }).delete
          enrol(db, id, people.to_a)
        end
      end

      def ours?(entry) = KINDS.include?(Core::Streams::StreamName.kind(entry.stream))
      private_class_method :ours?

      def set(db, id, facts)
        row = facts.slice(*Core::Courses::Course::FIELDS)
        known = db[:courses].where(id: id)
        known.update(row).zero? ? db[:courses].insert(id: id, **row) : read_anew(db, id, row)
      end
      private_class_method :set

      # What was found by other stems is read anew.
      def read_anew(db, id, row)
        return unless row.key?(:language)

        classes = db[:sittings].join(:lessons, id: :lesson_id).where(course_id: id).select(Sequel[:sittings][:id])
        db[:recordings].where(sitting_id: classes).update(read_at: nil)
      end
      private_class_method :read_anew

      def enrol(db, id, people)
        rows = people.map { |person| { course_id: id, person_id: person[:id], role: person[:role] } }
        db[:memberships].insert_conflict(target: %i[course_id person_id], update: { role: Sequel[:excluded][:role] }).multi_insert(rows)
      end
      private_class_method :enrol
    end
  end
end
