# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `board/ID`: marks. Boards are there before their class and after it; which of them a class has, it says itself.
        class Board < Kind
          def owner = :itself
          def state_class = Boards::Board

          def told(reader) = reader.boards.select { |board| reader.board?(board) }.map { |board| name(board[:id]) }
          def reads?(reader, stream) = reader.board?(reader.facts.board(StreamName.id(stream)))
          def recorded(sitting) = sitting.boards.map { |board| name(board[:id]) }
          def recorded? = true
        end
      end
    end
  end
end
