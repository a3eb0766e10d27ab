# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Lets a page grow downward as needed, or keeps it at its size.
      class SetPage < BoardCommand
        on :board, 'board.set_page'
        contract do
          required(:page).value(Types::ID)
          required(:grows).value(:bool)
        end

        def decide
          may! :draw
          staff!('Only instructors and assistants change a page.')
          page!(input[:page])
          return if (board.page_facts.dig(input[:page], :grows) || false) == input[:grows]

          signed('laid', { pages: [input] })
        end
      end
    end
  end
end
