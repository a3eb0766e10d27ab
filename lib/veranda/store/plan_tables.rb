# frozen_string_literal: true

module Veranda
  module Store
    # Keeps the table of lessons as their plans say, in the same commit: all that is asked over many lessons asks it. It can be made anew
    # from the streams at any time ({.rebuild}).
    module PlanTables
      module_function

      # @return [Boolean]
      def any?(entries) = entries.any? { |entry| ours?(entry) }

      # @param db [Sequel::Database]
      # @param entries [Array<Core::Streams::Entry>]
      def note(db, entries)
        entries.select { |entry| ours?(entry) }.group_by(&:stream).each do |stream, added|
          id = Core::Streams::StreamName.id(stream)
          plan = added.reduce(known(db, id)) { |so_far, entry| so_far.apply(entry) }
          write(db, id, plan.facts, added.last.seq)
        end
      end

      # @param plan [Core::Lessons::Plan]
      # @param seq [Integer] of its last entry
      def rebuild(db, id, plan, seq)
        db.transaction do
          picture = db[:materials].where(id: plan[:welcome_picture]).get(:id)
          write(db, id, plan.facts.merge(welcome_picture: picture), seq)
        end
      end

      # @param row [Hash] of the table
      # @return [Hash] the same as {Core::Lessons::Plan#facts} has it
      def facts(row)
        row.slice(*COLUMNS).merge(starts_at: (row[:starts_at].to_r * 1000).round, steps: plain(row[:steps]), slot: plain(row[:slot]))
      end

      COLUMNS = [*Core::Lessons::Plan::PLACE, *Core::Lessons::Plan::FIELDS, :steps].freeze
      private_constant :COLUMNS

      # @return [Object, nil] what a column of JSON holds, with symbol keys
      def plain(json) = json && JSON.parse(JSON.generate(json), symbolize_names: true)

      def ours?(entry) = Core::Streams::StreamName.kind(entry.stream) == :plan
      private_class_method :ours?

      def known(db, id)
        row = db[:lessons].where(id: id).for_update.first
        row ? Core::Lessons::Plan.from(facts(row)) : Core::Lessons::Plan.new
      end
      private_class_method :known

      def write(db, id, facts, seq)
        row = facts.merge(starts_at: Time.at(facts[:starts_at]/1000r), steps: Sequel.pg_jsonb(facts[:steps]),
                          slot: facts[:slot] && Sequel.pg_jsonb(facts[:slot]), version: seq)
        db[:lessons].insert_conflict(target: :id, update: row).insert(id: id, **row)
      end
      private_class_method :write
    end
  end
end
