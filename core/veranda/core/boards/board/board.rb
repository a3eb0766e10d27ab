# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # A board as its stream tells it: pages, marks, authors and what each person can undo.
      class Board
        FIRST_PAGE = 'p1'
        MAX_MARKS = 5_000
        MAX_PAGES = 300
        # On a list of boards; the rest are found by searching.
        MOST_LISTED = 100
        # What a growing page keeps free below its lowest mark, in px.
        FREE_BELOW = 240
        # How far a page grows, in px.
        MAX_HEIGHT = Types::REACH

        # @return [Array<String>] page ids in order; a board always has at least one
        attr_reader :pages
        # @return [Hash{String => Hash}] what is special about a page: `ground:` (`{ material:, version:, slide:, w:, h: }`,
        #   the slide it is drawn on), `grows:` (whether it grows downward as needed) and `locked:` (whether only staff change it)
        attr_reader :page_facts
        # @return [Hash{String => Hash}] {Mark}s by id
        attr_reader :marks
        # @return [Hash{String => String}] names by person id, of everyone who left a mark
        attr_reader :authors
        # @return [History]
        attr_reader :history
        # @return [Integer] height of the pile: every mark lies below this `z`
        attr_reader :top

        def initialize(pages: [FIRST_PAGE], page_facts: {}, marks: {}, authors: {}, history: History.new, top: 0, locked: false)
          @pages = pages
          @page_facts = page_facts
          @marks = marks
          @authors = authors
          @history = history
          @top = top
          @locked = locked
        end

        def initialize_copy(_other)
          super
          @page_facts, @marks, @authors, @history = [@page_facts, @marks, @authors, @history].map(&:dup)
        end

        # @return [Boolean] whether only staff change anything on the board
        def locked? = @locked

        # @return [Boolean] whether a page of its own is locked
        def page_locked?(page) = @page_facts.dig(page, :locked) || false

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          @authors[entry.actor] = entry.body[:author] if entry.body[:author]
          case entry.kind
          when 'edited' then edit(entry)
          when 'page_added' then add_page(entry.body)
          when 'laid' then entry.body[:pages].each { |facts| lay(facts) }
          when 'taken_in' then take_in(entry.body)
          when 'prop_used' then show_prop(entry.body)
          when 'locked' then @locked = entry.body[:on]
          end
          self
        end

        # @param ground [Hash] a slide, see {#page_facts}
        # @return [Integer] px that it is high on a page
        def self.height_of(ground) = (Mark::PAGE_WIDTH * ground[:h] / ground[:w].to_f).round

        # @param page [String]
        # @return [Array<Hash>] marks on the page, bottom first
        def on_page(page)
          @marks.each_value.select { |mark| mark[:page] == page }.sort_by { |mark| [mark[:z], mark[:id]] }
        end

        # @return [Integer] px; a slide keeps its proportions, a growing page reaches below its lowest mark
        def height(page)
          facts = @page_facts[page] || {}
          ground = facts[:ground]
          height = ground ? Board.height_of(ground) : Mark::PAGE_HEIGHT
          return height unless facts[:grows]

          lowest = on_page(page).map { |mark| Mark.bounds(mark).then { |_, y, _, h| y + h } }.max.to_f
          ((lowest + FREE_BELOW) / 100.0).ceil.*(100).clamp(height, [height, MAX_HEIGHT].max)
        end

        # @return [String] all that is written on the board, page by page, for searching
        def words = @pages.flat_map { |page| on_page(page).map { |mark| Mark.words(mark) } }.reject(&:empty?).join("\n")

        # @return [Integer] how much there is to write down
        def size = @marks.length + @history.size

        # @return [Hash] everything, for a snapshot
        def to_h
          { pages: @pages, page_facts: fact_rows, marks: @marks.values, authors: author_rows, history: @history.to_h, top: @top,
            locked: @locked }
        end

        # @return [Hash] what readers of the board see
        def view
          { pages: @pages, page_facts: fact_rows, marks: @marks.values, authors: author_rows, undo: @history.counts, top: @top,
            locked: @locked }
        end

        # @return [Hash] body of a `taken_in` entry that makes an empty board equal to this one, without its history
        def as_taken_in
          { pages: @pages.map { |page| { page: page, **(@page_facts[page] || {}) } }, marks: @marks.values, authors: author_rows }
        end

        # @param facts [Hash] as written by {#to_h}
        # @return [Board]
        def self.from(facts)
          page_facts = (facts[:page_facts] || []).to_h { |row| [row[:page], row.except(:page)] }
          # Boards of earlier versions may hold a mark that lost its place in the pile.
          marks = facts[:marks].to_h { |mark| [mark[:id], (mark.key?(:z) ? mark : mark.merge(z: 0)).freeze] }
          new(pages: facts[:pages], page_facts: page_facts, marks: marks,
              authors: facts[:authors].to_h { |row| row.values_at(:id, :name) },
              history: History.from(facts[:history]), top: facts[:top], locked: facts[:locked] || false)
        end

        private

        def edit(entry)
          ops = entry.body[:ops].map { |op| op[:op] == 'put' ? op.merge(mark: signed(op[:mark], entry)) : op }
          @history.note(entry, Edit.apply(@marks, ops))
        end

        def add_page(body)
          @pages = @pages.dup.insert(body[:index], body[:page])
          lay(body.slice(:page, :ground)) if body[:ground]
        end

        # Pages that are not there yet come after the others.
        def lay(facts)
          @pages |= [facts[:page]]
          @page_facts[facts[:page]] = (@page_facts[facts[:page]] || {}).merge(facts.except(:page))
        end

        def take_in(body)
          @pages = body[:pages].map { |facts| facts[:page] }
          body[:pages].each { |facts| lay(facts) if facts.length > 1 }
          body[:marks].each { |mark| @marks[mark[:id]] = mark.freeze }
          body[:authors].each { |author| @authors[author[:id]] = author[:name] }
          @top = body[:marks].map { |mark| mark[:z] }.max || 0
        end

        # What a prop shows is not anybody's edit, so nobody's undo takes it back.
        def show_prop(body)
          mark = @marks[body[:id]]
          @marks[body[:id]] = mark.merge(shows: body[:shows]).freeze if mark
        end

        # A mark brought back by undo keeps the author, time and place in the pile it had.
        def signed(mark, entry)
          mark = { by: entry.actor, at: entry.at, z: @top + 1 }.merge(mark)
          @top = [@top, mark[:z]].max
          mark
        end

        def fact_rows = @page_facts.map { |page, facts| { page: page, **facts } }
        def author_rows = @authors.map { |id, name| { id: id, name: name } }
      end
    end
  end
end
