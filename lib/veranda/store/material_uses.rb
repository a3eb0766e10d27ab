# frozen_string_literal: true

module Veranda
  module Store
    # Notes which boards show which materials, in the same commit as the entries by which they do.
    # Nothing is ever struck out: the board's history still shows it.
    module MaterialUses
      module_function

      # @param db [Sequel::Database]
      # @param entries [Array<Core::Streams::Entry>]
      def note(db, entries)
        uses = entries.flat_map { |entry| materials(entry).map { |material| [material, Core::Streams::StreamName.id(entry.stream)] } }.uniq
        return if uses.empty?

        known = db[:materials].where(id: uses.map(&:first)).select_map(:id)
        uses = uses.select { |material, _| known.include?(material) }
        db[:material_uses].insert_conflict.import(%i[material_id board_id], uses)
      end

      def materials(entry)
        case entry.kind
        when 'edited' then entry.body[:ops].filter_map { |op| op.dig(:mark, :material) }
        when 'taken_in'
          entry.body[:marks].filter_map { |mark| mark[:material] } + entry.body[:pages].filter_map { |row| row.dig(:ground, :material) }
        when 'laid', 'page_added' then (entry.body[:pages] || [entry.body]).filter_map { |row| row.dig(:ground, :material) }
        else []
        end
      end
      private_class_method :materials
    end
  end
end
