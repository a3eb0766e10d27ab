# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Puts marks on a page. Freehand strokes are simplified; everything else stays as sent.
      # A prop needs the right to use props, anything else the right to draw.
      class PutMarks < BoardCommand
        # Marks in one command.
        MOST = 200

        on :board, 'board.put'
        contract { required(:marks).value(:array, min_size?: 1, max_size?: MOST).each { hash(MarkContract::PUT) } }

        def decide
          may! :draw
          may! :props if input[:marks].any? { |mark| mark[:kind] == Mark::PROP }
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
          open_page!(mark[:page])
          Mark.check!(mark)
          Props.check!(mark[:prop], mark[:settings]) if mark[:kind] == Mark::PROP
          raise Refusal.new(:mark_exists, 'That mark is already on the board.') if board.marks.key?(mark[:id])

          staff!('Only instructors and assistants lock marks.') if mark[:locked]
          return Mark.tidy(mark) unless Mark::FREEHAND.include?(mark[:kind])

          simplified(mark)
        end

        def simplified(mark)
          kept = Simplify.indices(mark[:points], press: mark[:press], width: mark[:width])
          points = kept.flat_map { |i| mark[:points][2 * i, 2] }.map { |number| number.round(1) }
          press = mark[:press] && kept.map { |i| mark[:press][i].round(2) }
          mark.merge({ points: points, press: press }.compact)
        end
      end
    end
  end
end
