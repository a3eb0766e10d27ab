# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Puts marks on a page. Freehand strokes are simplified; everything else stays as sent.
      class PutMarks < BoardCommand
        on :board, 'board.put'
        contract { required(:marks).value(:array, min_size?: 1, max_size?: 200).each { hash(MarkContract::PUT) } }

        def decide
          may! :draw
          room!
          marks = input[:marks]
          raise Refusal.new(:mark_exists, 'Two marks cannot share one id.') if marks.uniq do |mark|
            mark[:id]
          end.length < marks.length

          edited(marks.map { |mark| { op: 'put', mark: prepared(mark) } })
        end

        private

        def room!
          return if board.marks.length + input[:marks].length <= Board::MAX_MARKS

          raise Refusal.new(:board_full, "A board holds #{Board::MAX_MARKS} marks. Clear a page or begin a new board.")
        end

        def prepared(mark)
          page!(mark[:page])
          Mark.check!(mark)
          raise Refusal.new(:mark_exists, 'That mark is already on the board.') if board.marks.key?(mark[:id])

          staff!('Only instructors and assistants lock marks.') if mark[:locked]
          return Mark.tidy(mark) unless Mark::FREEHAND.include?(mark[:kind])

          mark.merge(points: Simplify.call(mark[:points]).map { |number| number.round(1) })
        end
      end
    end
  end
end
