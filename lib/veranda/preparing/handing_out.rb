# frozen_string_literal: true

module Veranda
  module Preparing
    # Makes everybody's own copy of a board that is handed out in a class, and a copy of such a copy to be put in front of all.
    class HandingOut
      # @param archive [Store::Archive]
      # @param sitting_id [String]
      def initialize(archive, sitting_id)
        @archive = archive
        @sitting = archive.sittings.fetch(sitting_id)
      end

      # Safe to do twice: nobody gets a second copy.
      # @param board [String] id of the one that is handed out
      # @param people [Array<String>]
      def give(board, people)
        row = @archive.lessons.board(board)
        people.each_slice(Core::Sittings::GiveCopies::MOST) do |some|
          copies = @archive.own_copies.make(@sitting, row, some)
          Deciding::Perform.call(@archive.log, 'class.give_copies', { board: board, copies: copies }, stream: stream)
        end
      end

      # What is put in front of all is a board of its own: what is said and drawn about it leaves the copy as it is, and where no name is
      # to be told, none is in it. A room's board goes the same way.
      # @param copy [String] id of somebody's copy in this class
      # @param named [Boolean] whether it is told whose it is
      # @return [Hash] the new board
      # @raise [Core::Refusal] `no_such_board`
      def put_forward(copy, named:)
        row = @archive.lessons.board(copy)
        raise Core::Refusal.new(:no_such_board, 'That is no copy of this class.') unless row[:sitting_id] == @sitting[:id]

        state, _, at = @archive.log.state(Core::Streams::StreamName.board(copy))
        taken_in = named ? state.as_taken_in : nameless(state.as_taken_in, row[:people])
        id = @archive.db.transaction do
          board = @archive.lessons.add_board(row[:lesson_id], name: name(row, named), **row.slice(:rehearsal_id, :first_page))
          board.tap { @archive.lessons.fill(board, taken_in, at) }
        end
        Classes.new(@archive).boards_changed(row[:lesson_id], rehearsal: row[:rehearsal_id])
        @archive.lessons.board(id)
      end

      private

      def stream = Core::Streams::StreamName.sitting(@sitting[:id])

      LONGEST_NAME = 80
      private_constant :LONGEST_NAME

      def name(row, named)
        return row[:name] if row[:room_id] && named

        whose = named ? row[:people].map { |id| @archive.people.find(id)[:name] }.join(' and ') : 'one of the copies'
        "#{row[:name][0, LONGEST_NAME - 4 - whose.length]} (#{whose})"[0, LONGEST_NAME]
      end

      def nameless(facts, owners)
        marks = facts[:marks].map { |mark| owners.include?(mark[:by]) ? mark.merge(by: Deciding::Perform::HOUSE.id) : mark }
        facts.merge(marks: marks, authors: facts[:authors].reject { |author| owners.include?(author[:id]) })
      end
    end
  end
end
