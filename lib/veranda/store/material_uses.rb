# frozen_string_literal: true

module Veranda
  module Store
    # Notes which boards show which materials, and where files were posted, in the same commit as the entries by which they are.
    # Of boards nothing is ever struck out: their history still shows it. What was posted is gone once the post is deleted.
    module MaterialUses
      module_function

      # @param db [Sequel::Database]
      # @param entries [Array<Core::Streams::Entry>]
      def note(db, entries)
        uses = entries.flat_map do |entry|
          materials(entry).map do |material|
            [material, Core::Streams::StreamName.id(entry.stream)]
          end
        end.uniq
        note_posts(db, entries)
        return if uses.empty?

        known = db[:materials].where(id: uses.map(&:first)).select_map(:id)
        uses = uses.find_all { |use| known.include?(use.first) }
        db[:material_uses].insert_conflict.import(%i[material_id board_id], uses)
      end

      # @return [Boolean]
      def any?(entries)
        entries.any? { |entry| materials(entry).any? || entry.kind == 'deleted' || (entry.kind == 'posted' && entry.body[:file]) }
      end

      def note_posts(db, entries)
        entries.each do |entry|
          case entry.kind
          when 'posted'
            file = entry.body[:file] or next
            db[:posted_files].insert_conflict.insert(material_id: file, stream: entry.stream, post_id: entry.body[:id])
          when 'deleted' then db[:posted_files].where(stream: entry.stream, post_id: entry.body[:id]).delete
          end
        end
      end
      private_class_method :note_posts

      def materials(entry)
        case entry.kind
        when 'edited' then entry.body[:ops].filter_map { |op| op.dig(:mark, :material) }
        when 'taken_in'
          entry.body[:marks].filter_map { |mark| mark[:material] } + entry.body[:pages].filter_map do |row|
            row.dig(:ground, :material)
          end
        when 'laid', 'page_added' then (entry.body[:pages] || [entry.body]).filter_map { |row| row.dig(:ground, :material) }
        else []
        end
      end
      private_class_method :materials
    end
  end
end
