# frozen_string_literal: true

module Veranda
  module Preparing
    # Makes a board for everyone of what rooms of a class made: a page of each, or marks chosen from it, each with the room's name
    # under it. What is said and drawn about it leaves the rooms' boards as they are.
    class SideBySide
      # @param archive [Store::Archive]
      # @param sitting_id [String]
      # @param now [Integer] ms since the epoch
      def initialize(archive, sitting_id, now:)
        @archive = archive
        @sitting = archive.sittings.fetch(sitting_id)
        @now = now
      end

      # @param activity [String] id
      # @param pieces [Array<Hash>] `{ room:, board:, page:, marks: }`, see {Core::Boards::SideBySide}
      # @return [String] id of the new board
      # @raise [Core::Refusal] `no_such_activity`, `no_such_room`, `no_such_board`, `no_such_page`, `board_full`
      def call(activity:, pieces:)
        found = staff.activities[activity] or raise Core::Refusal.new(:no_such_activity, 'There are no such rooms any more.')
        pieces = pieces.map { |piece| read(found, piece) }
        laid = Core::Boards::SideBySide.new(pieces, by: Deciding::Perform::HOUSE.id, at: @now).call
        rehearsal = (@sitting[:id] if @sitting[:rehearsal])
        id = @archive.db.transaction do
          board = @archive.lessons.add_board(@sitting[:lesson_id], name: named(found, pieces), rehearsal_id: rehearsal)
          board.tap { @archive.lessons.fill(board, laid, @now) }
        end
        Classes.new(@archive).boards_changed(@sitting[:lesson_id], rehearsal: rehearsal)
        id
      end

      private

      LONGEST_NAME = 80
      private_constant :LONGEST_NAME

      def staff = @archive.log.state(Core::Streams::StreamName.staff(@sitting[:id])).first

      # One board may be there with several of its pages.
      def board(id) = (@boards ||= {})[id] ||= @archive.log.state(Core::Streams::StreamName.board(id)).first

      def read(activity, piece)
        room = activity[:rooms].find { |one| one[:id] == piece[:room] } or
          raise Core::Refusal.new(:no_such_room, 'That room is not there any more.')
        if room[:boards].none? { |board| board[:id] == piece[:board] }
          raise Core::Refusal.new(:no_such_board, "That board is not of “#{room[:name]}”.")
        end

        board = board(piece[:board])
        raise Core::Refusal.new(:no_such_page, 'That page is not there any more.') unless board.pages.include?(piece[:page])

        { name: room[:name], board: board, **piece.slice(:page, :marks) }
      end

      def named(activity, pieces)
        rooms = pieces.length > 3 ? "#{pieces.length} rooms" : pieces.map { |piece| piece[:name] }.uniq.join(', ')
        "#{activity[:name]}: #{rooms}"[0, LONGEST_NAME]
      end
    end
  end
end
