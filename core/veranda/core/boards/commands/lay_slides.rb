# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # Lays the slides of a material under a board's pages. On a board that has none of it yet they begin with the
      # first page when that is empty, and follow the others when it is not. A board that shows an
      # earlier version gets the new slides under the same pages; slides that the new version
      # lacks stay as they were, since somebody may have drawn on them.
      class LaySlides < BoardCommand
        on :board, 'board.lay_slides'
        contract do
          required(:material).value(Types::ID)
          required(:version).value(:integer, gteq?: 1)
          required(:slides).value(:array, min_size?: 1, max_size?: Board::MAX_PAGES).each do
            hash do
              required(:slide).value(:integer, gteq?: 1)
              required(:w).value(:integer, gt?: 0)
              required(:h).value(:integer, gt?: 0)
            end
          end
        end

        def decide
          there = pages_by_slide
          free = there.empty? && untouched? ? board.pages.dup : []
          pages = input[:slides].filter_map do |slide|
            ground = { material: input[:material], version: input[:version], **slide }
            page = there[slide[:slide]] || free.shift || "#{input[:material]}-#{slide[:slide]}"[0, 40]
            { page: page, ground: ground } unless board.page_facts.dig(page, :ground) == ground
          end
          room!(pages)
          signed('laid', { pages: pages }) unless pages.empty?
        end

        private

        def pages_by_slide
          board.page_facts.select { |_, facts| facts.dig(:ground, :material) == input[:material] }
               .to_h { |page, facts| [facts[:ground][:slide], page] }
        end

        def untouched? = board.marks.empty? && board.page_facts.empty? && board.pages.length == 1

        def room!(pages)
          return if (board.pages | pages.map { |row| row[:page] }).length <= Board::MAX_PAGES

          raise Refusal.new(:board_full, "A board holds #{Board::MAX_PAGES} pages.")
        end
      end
    end
  end
end
