# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Makes a page what it was at an earlier entry of its board, in one entry that one undo takes back.
      # Marks keep their authors and times.
      class BringBack < BoardCommand
        on :board, 'board.bring_back'
        contract do
          required(:page).value(Types::ID)
          required(:seq).value(:integer, gteq?: 0, lteq?: 1 << 53)
        end

        def decide
          may! :draw
          staff!('Only instructors and assistants bring a page back.')
          page!(input[:page])
          then_marks = scene.earlier.call(input[:seq]).on_page(input[:page]).to_h { |mark| [mark[:id], mark] }
          ops = operations(board.on_page(input[:page]), then_marks)
          edited(ops, way: 'brought_back') unless ops.empty?
        end

        private

        def operations(now, earlier)
          gone = now.reject { |mark| earlier.key?(mark[:id]) }.map { |mark| { op: 'remove', id: mark[:id] } }
          changed = earlier.each_value.filter_map do |mark|
            present = board.marks[mark[:id]]
            present ? change(present, mark) : { op: 'put', mark: mark }
          end
          gone + changed
        end

        def change(present, mark)
          set = (present.keys | mark.keys).reject { |field| present[field] == mark[field] }.to_h { |field| [field, mark[field]] }
          { op: 'change', id: mark[:id], set: set } unless set.empty?
        end
      end
    end
  end
end
