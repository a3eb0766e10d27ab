# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Tells those whom a board names of it, on the streams that are theirs alone: nobody else learns that there is such a board.
      # `people` in the input are those whom some board names now or has named before.
      module NamedBoards
        # @param concern [Streams::Concern]
        # @return [Array<String>] streams of everybody concerned
        def self.streams(concern)
          [*concern.input[:people], *Lessons::Audience.named(concern.input[:boards])].uniq.map { |id| concern.own_of(id) }
        end

        private

        # @return [Array<Streams::Draft>]
        def named_boards
          [*input[:people], *Lessons::Audience.named(input[:boards])].uniq.filter_map do |person|
            own = scene.own_of(person)
            boards = input[:boards].select { |board| !Lessons::Audience.everyone?(board) && Lessons::Audience.includes?(board, person) }
            boards = boards.map { |board| board.slice(*Plan::PUBLIC_BOARD) }
            entry('boards', { boards: boards }, on: own) unless scene.of(own).boards == boards
          end
        end
      end
    end
  end
end
