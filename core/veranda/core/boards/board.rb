# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # A board as its stream tells it: pages, marks, authors and what each person can undo.
      class Board
        FIRST_PAGE = 'p1'
        MAX_MARKS = 5_000
        MAX_PAGES = 60

        # @return [Array<String>] page ids in order; a board always has at least one
        attr_reader :pages
        # @return [Hash{String => Hash}] {Mark}s by id
        attr_reader :marks
        # @return [Hash{String => String}] names by person id, of everyone who left a mark
        attr_reader :authors
        # @return [History]
        attr_reader :history
        # @return [Integer] height of the pile: every mark lies below this `z`
        attr_reader :top

        def initialize(pages: [FIRST_PAGE], marks: {}, authors: {}, history: History.new, top: 0)
          @pages = pages
          @marks = marks
          @authors = authors
          @history = history
          @top = top
        end

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          @authors[entry.actor] = entry.body[:author] if entry.body[:author]
          case entry.kind
          when 'edited' then edit(entry)
          when 'page_added' then @pages = @pages.dup.insert(entry.body[:index], entry.body[:page])
          end
          self
        end

        # @param page [String]
        # @return [Array<Hash>] marks on the page, bottom first
        def on_page(page)
          @marks.each_value.select { |mark| mark[:page] == page }.sort_by { |mark| [mark[:z], mark[:id]] }
        end

        # @return [Integer] how much there is to write down
        def size = @marks.length

        # @return [Hash] everything, for a snapshot
        def to_h
          { pages: @pages, marks: @marks.values, authors: author_rows, history: @history.to_h, top: @top }
        end

        # @return [Hash] what readers of the board see
        def view
          { pages: @pages, marks: @marks.values, authors: author_rows, undo: @history.counts, top: @top }
        end

        # @param facts [Hash] as written by {#to_h}
        # @return [Board]
        def self.from(facts)
          new(pages: facts[:pages], marks: facts[:marks].to_h { |mark| [mark[:id], mark.freeze] },
              authors: facts[:authors].to_h { |row| row.values_at(:id, :name) },
              history: History.from(facts[:history]), top: facts[:top])
        end

        private

        def edit(entry)
          ops = entry.body[:ops].map { |op| op[:op] == 'put' ? op.merge(mark: signed(op[:mark], entry)) : op }
          @history.note(entry, Edit.apply(@marks, ops))
        end

        # A mark brought back by undo keeps the author, time and place in the pile it had.
        def signed(mark, entry)
          mark = { by: entry.actor, at: entry.at, z: @top + 1 }.merge(mark)
          @top = [@top, mark[:z]].max
          mark
        end

        def author_rows = @authors.map { |id, name| { id: id, name: name } }
      end
    end
  end
end
