# frozen_string_literal: true

module Veranda
  module Store
    # Small pictures of boards, kept until the board changes.
    class SmallPictures
      # @param db [Sequel::Database]
      # @param files [Files]
      def initialize(db, files)
        @db = db
        @files = files
      end

      # @return [Array(String, Integer)] name of the file, nil when there is none of the board as it is now; and the seq it stands at
      def find(board_id)
        row = @db[:boards].join(:streams, name: Sequel.join(['board/', Sequel[:boards][:id]])).where(Sequel[:boards][:id] => board_id)
                          .select(:head, :first_page).first
        name = "boards/#{board_id}/#{row[:head]}-#{row[:first_page]}.svg"
        [(name if @files.exist?(name)), row[:head]]
      end

      # @param seq [Integer]
      # @param svg [String]
      # @return [String] name of the file; earlier ones go
      def keep(board_id, seq, svg)
        first_page = @db[:boards].where(id: board_id).get(:first_page)
        name = "boards/#{board_id}/#{seq}-#{first_page}.svg"
        @files.clear("boards/#{board_id}")
        @files.put(StringIO.new(svg), name)
      end
    end
  end
end
