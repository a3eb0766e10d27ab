# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Adds an empty page after another one.
      class AddPage < BoardCommand
        on :board, 'board.add_page'
        contract do
          required(:page).value(Types::ID)
          required(:after).value(Types::ID)
        end

        def decide
          may! :add
          open_board!
          page!(input[:after])
          raise Refusal.new(:page_exists, 'That page is already on the board.') if board.pages.include?(input[:page])
          raise Refusal.new(:board_full, "A board holds #{Board::MAX_PAGES} pages.") if board.pages.length >= Board::MAX_PAGES

          signed('page_added', { page: input[:page], index: board.pages.index(input[:after]) + 1 })
        end
      end
    end
  end
end
