# frozen_string_literal: true

module Veranda
  module Store
    # Notes beside the log whether a class is open or over, in the same commit as the entry that says so, since lists of classes
    # ask for nothing else.
    module SittingStatus
      KINDS = { 'opened' => 'open', 'ended' => 'ended' }.freeze

      module_function

      # @return [Boolean]
      def any?(entries) = entries.any? { |entry| KINDS.key?(entry.kind) }

      # @param db [Sequel::Database]
      # @param entries [Array<Core::Streams::Entry>]
      def note(db, entries)
        entries.each do |entry|
          status = KINDS[entry.kind] or next
          next unless Core::Streams::StreamName.kind(entry.stream) == :sitting

          db[:sittings].where(id: Core::Streams::StreamName.id(entry.stream)).update(status: status)
        end
      end
    end
  end
end
