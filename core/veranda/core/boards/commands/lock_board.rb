# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Locks a board, or one page of it, so that only staff change what is on it; or opens it again.
      class LockBoard < BoardCommand
        on :board, 'board.lock'
        contract do
          required(:on).value(:bool)
          optional(:page).value(Types::ID)
        end

        def decide
          may! :draw
          staff!('Only instructors and assistants lock boards.')
          return (signed('locked', { on: input[:on] }) unless board.locked? == input[:on]) unless input[:page]

          page!(input[:page])
          signed('laid', { pages: [{ page: input[:page], locked: input[:on] }] }) unless board.page_locked?(input[:page]) == input[:on]
        end
      end
    end
  end
end
