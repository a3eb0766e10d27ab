# frozen_string_literal: true

module Veranda
  module Preparing
    # Pairs those who are in a place of a class, fairly over the course, if wished each with a copy of a board.
    class PairingUp
      # @param archive [Store::Archive]
      # @param sitting_id [String]
      def initialize(archive, sitting_id)
        @archive = archive
        @sitting = archive.sittings.fetch(sitting_id)
      end

      # @param size [Integer] 2 or 3
      # @param place [String]
      # @param board [String, nil] id of one that is for everyone
      # @param seed [Integer]
      # @param round [String] its id; a round that was drawn already is not drawn again
      # @return [Array<Array<String>>] the pairs
      # @raise [Core::Refusal] `too_few`, `class_ended`, `doors_closed`
      def call(size:, place: Core::Sittings::Places::MAIN, board: nil, seed: Random.new_seed % (1 << 32), round: Store::Ids.call)
        open_board!(board) if board
        pairs = Core::Sittings::Pairing.draw(here(place), size: size, met: met, seed: seed)
        drawn = { round: round, size: size, seed: seed, board: board, pairs: pairs.map { |people| { people: people } } }.compact
        perform('class.pair', Core::Streams::StreamName.place(@sitting[:id], place), id: round, **drawn)
        pairs
      end

      # From then on each pair sees its copy where the board is on show. Safe to do twice.
      # @param round [String]
      # @param board [String] id
      # @param pairs [Array<Hash>] `{ people: }`
      def give_copies(round:, board:, pairs:)
        row = open_board!(board)
        copies = @archive.own_copies.make_for_groups(@sitting, row, pairs.map { |pair| pair[:people] }, round)
        copies.each_slice(Core::Sittings::GiveCopies::MOST) { |some| perform('class.give_copies', stream, board: board, copies: some) }
        perform('class.hand_out', stream, board: board, on: true)
      end

      private

      def here(place) = sitting.present.select { |seat| seat.place == place && !seat.staff? }.map(&:id).sort
      def sitting = @archive.log.state(stream).first
      def stream = Core::Streams::StreamName.sitting(@sitting[:id])

      def met
        course = @archive.lessons.fetch(@sitting[:lesson_id])[:course_id]
        Core::Sittings::Pairing.met(@archive.pairings.of_course(course))
      end

      def open_board!(id)
        row = @archive.lessons.board(id)
        return row if row[:lesson_id] == @sitting[:lesson_id] && Core::Lessons::Audience.everyone?(row)

        raise Core::Refusal.new(:board_for_staff, 'Not everyone can see that board. Change its audience first.')
      end

      def perform(wire_name, on, id: Store::Ids.call, **input)
        Deciding::Perform.call(@archive.log, wire_name, input, stream: on, id: id)
      end
    end
  end
end
