# frozen_string_literal: true

require 'csv'
require 'json'
require 'zip'

module Veranda
  module Workshop
    # All that one person did here, for themselves, as one zip of open formats: `did.jsonl` has every entry of theirs in the order in which
    # they stand, `notes.csv` and `watched.csv` what they noted and watched of recordings, `files.csv` what they brought, `person.json` who
    # they are. What was answered without a name is nobody's, and is in none.
    class PersonZip
      # Entries that are read at once.
      AT_ONCE = 2_000

      # @param archive [Store::Archive]
      # @param person [Hash] `{ id:, name: }`
      def initialize(archive, person)
        @db = archive.db
        @archive = archive
        @id, @name = person.values_at(:id, :name)
      end

      # @param path [String] of the zip that is made
      def write(path)
        Zip::OutputStream.open(path) do |zip|
          zip.put_next_entry('person.json')
          zip.write(JSON.pretty_generate(id: @id, name: @name, courses: @archive.people.courses(@id)))
          zip.put_next_entry('did.jsonl')
          did { |row| zip.write("#{JSON.generate(row)}\n") }
          tables.each { |name, rows| table(zip, name, rows) }
        end
      end

      private

      # Page by page, since it may be a great deal.
      def did
        rows = @db[:entries].where(actor: @id).order(:stream, :seq)
        rows.paged_each(rows_per_fetch: AT_ONCE) do |row|
          yield row.slice(:stream, :seq, :at, :kind).merge(body: row[:body].is_a?(String) ? JSON.parse(row[:body]) : row[:body].to_h)
        end
      end

      def tables
        { 'notes.csv' => @db[:notes].where(person_id: @id).select(:sitting_id, :at, :words),
          'watched.csv' => @db[:watching].where(person_id: @id).select(:sitting_id, Sequel.function(:cardinality, :minutes).as(:minutes),
                                                                       :stopped_at),
          'files.csv' => @db[:material_versions].where(made_by: @id).select(:material_id, :version, :name, :size) }
      end

      def table(zip, name, rows)
        zip.put_next_entry(name)
        zip.write(CSV.generate(row_sep: "\r\n") do |csv|
          csv << rows.columns
          rows.each { |row| csv << row.values.map { |cell| Core::Cell.plain(cell.to_s) } }
        end)
      end
    end
  end
end
