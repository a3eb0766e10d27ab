# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Fills an empty board with the pages of another one, read from SVG: marks keep their authors, times, order and locks.
      class TakeIn < BoardCommand
        on :board, 'board.take_in'
        contract do
          required(:pages).value(:array, min_size?: 1, max_size?: Board::MAX_PAGES).each do
            hash do
              required(:page).value(Types::ID)
              optional(:grows).value(:bool)
              optional(:locked).value(:bool)
              optional(:ground).hash(MarkContract::GROUND)
            end
          end
          required(:marks).value(:array, max_size?: Board::MAX_MARKS).each { hash(MarkContract::KEPT) }
          required(:authors).value(:array, max_size?: 2_000).each do
            hash do
              required(:id).value(Types::ID)
              required(:name).value(:string, max_size?: Name::LIMIT)
            end
          end
        end

        def decide
          unless board.marks.empty? && board.page_facts.empty?
            raise Refusal.new(:board_in_use,
                              'Something is on this board already.')
          end

          pages = input[:pages].map { |row| row[:page] }
          ids = input[:marks].map { |mark| mark[:id] }
          raise Refusal.new(:mark_exists, 'Two marks or pages share one id.') if [pages, ids].any? do |all|
            all.uniq.length < all.length
          end

          signed('taken_in', input.merge(marks: input[:marks].map { |mark| checked(mark, pages) }))
        end

        private

        def checked(mark, pages)
          raise Refusal.new(:no_such_page, 'A mark is on a page that is not there.') unless pages.include?(mark[:page])

          Mark.check!(mark)
          Props.check!(mark[:prop], mark[:settings]) if mark[:kind] == Mark::PROP
          Mark.tidy(mark)
        end
      end
    end
  end
end
