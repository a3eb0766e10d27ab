# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Moves, resizes, recolours, rewrites or locks marks: anything in {Mark::CHANGEABLE}.
      class ChangeMarks < BoardCommand
        on :board, 'board.change'
        contract do
          required(:changes).value(:array, min_size?: 1, max_size?: 500).each do
            hash do
              required(:id).value(Types::ID)
              required(:set).hash(MarkContract::CHANGE)
            end
          end
        end

        def decide
          may! :draw
          ops = input[:changes].filter_map { |change| operation(change[:id], change[:set]) }
          edited(ops) unless ops.empty?
        end

        private

        def operation(id, set)
          mark = mark!(id)
          unlocked!(mark)
          staff!('Only instructors and assistants lock marks.') if set.key?(:locked)
          page!(set[:page]) if set[:page]
          set = Mark.tidy(set).reject { |field, value| mark[field] == value }
          { op: 'change', id: id, set: set } unless set.empty?
        end
      end
    end
  end
end
