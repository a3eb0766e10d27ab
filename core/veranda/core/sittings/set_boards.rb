# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # The boards of the lesson are others than the class knew, or for others. A board that students may no longer
      # see goes off show and is handed out no more.
      class SetBoards < SittingCommand
        on :sitting, 'class.set_boards'
        include NamedBoards

        touches :staff, :main
        begins { |concern| NamedBoards.streams(concern) }
        contract { Plan::BOARDS.call(self) }

        def decide
          return if sitting.ended?

          seen = Plan.public_boards(input[:boards])
          [(entry('boards', { boards: input[:boards] }, on: :staff) unless plan.boards == input[:boards]),
           (entry('boards', { boards: seen }) unless sitting.boards == seen), *named_boards, *off_show(seen), *gathered_in(seen)]
        end

        private

        def gathered_in(seen)
          (sitting.handed - seen.map { |board| board[:id] }).map { |board| entry('gathered_in', { board: board }) }
        end

        def off_show(seen)
          shown = scene.of(:main).shown
          return [] if shown.nil? || seen.any? { |board| board[:id] == shown[:board] }

          [entry('shown', { board: nil, page: nil }, on: :main)]
        end
      end
    end
  end
end
