# frozen_string_literal: true

module Veranda
  module Store
    # Notes beside the log who was sent out of a class, to wait or for good, and not let in again since, in the same commit as the entry
    # that says so: whoever was turned out of an open class is so by every door, and each of them asks.
    module TurnedOut
      KINDS = %w[removed out let_back joined].freeze

      module_function

      # @return [Boolean]
      def any?(entries) = entries.any? { |entry| KINDS.include?(entry.kind) }

      # @param db [Sequel::Database]
      # @param entries [Array<Core::Streams::Entry>]
      def note(db, entries)
        entries.each do |entry|
          sitting = Core::Streams::StreamName.id(entry.stream)
          case entry.kind
          when 'removed' then turned(db, sitting, [entry.body[:id]], true)
          when 'out' then turned(db, sitting, entry.body[:people], false)
          when 'let_back' then let_in(db, sitting, entry.body[:people])
          when 'joined' then let_in(db, sitting, entry.body[:people].map { |person| person[:id] })
          end
        end
      end

      # @param sitting [Core::Sittings::Sitting]
      # @param staff [Core::Sittings::StaffFacts]
      def rebuild(db, id, sitting, staff)
        db[:turned_out].where(sitting_id: id).delete
        turned(db, id, sitting.seats.each_value.select(&:out?).map(&:id), false)
        turned(db, id, staff.removed.keys, true)
      end

      def turned(db, sitting, people, removed)
        rows = people.map { |person| { sitting_id: sitting, person_id: person, removed: removed } }
        db[:turned_out].insert_conflict(target: %i[sitting_id person_id], update: { removed: removed }).multi_insert(rows)
      end
      private_class_method :turned

      def let_in(db, sitting, people) = db[:turned_out].where(sitting_id: sitting, person_id: people).delete
      private_class_method :let_in
    end
  end
end
