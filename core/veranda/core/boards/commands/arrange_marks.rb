# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Puts several marks in order: see {Arrangement} for the ways. Marks of one group stay as
      # they lie to each other.
      class ArrangeMarks < BoardCommand
        # Marks in one command.
        MOST = 500

        on :board, 'board.arrange'
        contract do
          required(:ids).value(:array, min_size?: 1, max_size?: MOST).each(Types::ID)
          required(:way).value(:string, included_in?: Arrangement::WAYS)
          optional(:language).value(:string, max_size?: 20)
        end

        def decide
          may! :draw
          marks = input[:ids].uniq.map { |id| mark!(id) }
          marks.each { |mark| changeable!(mark) }
          sets = Arrangement.call(marks, input[:way], board: board, language: input[:language] || 'en')
          ops = sets.filter_map { |id, set| operation(id, set) }
          edited(ops) unless ops.empty?
        end

        private

        def operation(id, set)
          set = set.reject { |field, value| board.marks[id][field] == value }
          { op: 'change', id: id, set: set } unless set.empty?
        end
      end
    end
  end
end
