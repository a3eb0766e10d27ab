# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Moves, resizes, recolours, rewrites or locks marks: anything in {Mark::CHANGEABLE}. Others' marks only
      # with the right to, except that whoever may use props may move them.
      class ChangeMarks < BoardCommand
        # Marks in one command.
        MOST = 500

        on :board, 'board.change'
        contract do
          required(:changes).value(:array, min_size?: 1, max_size?: MOST).each do
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

        # What moving a piece changes.
        MOVES = %i[x y angle].freeze

        private

        def operation(id, set)
          mark = mark!(id)
          moves_prop?(mark, set) ? unlocked!(mark) : changeable!(mark)
          staff!('Only instructors and assistants lock marks.') if set.key?(:locked)
          to!(set[:page]) if set[:page]
          set = Mark.tidy(set).reject { |field, value| mark[field] == value }
          Mark.check!(mark.merge(set)) if set.key?(:points) || set.key?(:press)
          { op: 'change', id: id, set: set } unless set.empty?
        end

        def to!(page)
          page!(page)
          open_page!(page)
        end

        # Pieces are there to be moved about by all who may use props.
        def moves_prop?(mark, set)
          mark[:kind] == Mark::PROP && (set.keys - MOVES).empty? && scene.right(:props).allowed?
        end
      end
    end
  end
end
