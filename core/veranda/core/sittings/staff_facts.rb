# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # What only the staff of a class know: the plan with notes, cues and rules, all boards, who waits at the doors,
      # and which cues were fired.
      class StaffFacts
        # @return [Array<Hash>] steps as planned: `{ id:, title:, minutes:, shortest:, notes:, board:, material:, rules:, cues: }`
        attr_reader :steps
        # @return [Array<Hash>] `{ id:, name:, audience:, people:, owner:, outside:, first_page: }` of every board of the lesson
        attr_reader :boards
        # @return [String, nil] step at which recording begins by itself
        attr_reader :record_from
        # @return [Array<String>] ids of cues that were fired
        attr_reader :cued
        # @return [Hash{String => String}] by cue, why what it was to do last could not be done
        attr_reader :refused
        # @return [Hash{String => Hash}] `{ id:, name:, role:, since:, held: }` of those who wait, in the order they came; `held` are
        #   those who were sent back, and come in only when they are let in
        attr_reader :waiting
        # @return [Hash{String => Hash}] `{ id:, name:, role: }` of those who were removed
        attr_reader :removed
        # @return [Array<Hash>] `{ id:, people: }` of the threads that all staff read
        attr_reader :threads
        # @return [Hash{String => Hash}] `{ board:, of:, person:, with: }` by the id of the board: people's own copies of boards
        attr_reader :copies
        # @return [Hash, nil] `{ round:, seed:, pairs: [{ people: }] }` of the last draw
        attr_reader :paired
        # @return [Hash{String => Hash}] `{ person:, device:, yes: }` by person, of those who were invited to speak or to be seen; `yes` is
        #   nil until they have answered
        attr_reader :invited
        # @return [Rooms::Activities]
        attr_reader :activities
        # @return [Polls::Staged]
        attr_reader :polls

        def initialize
          @steps = []
          @boards = []
          @cued = []
          @refused = {}
          @waiting = {}
          @removed = {}
          @threads = []
          @copies = {}
          @copies_by_person = {}
          @invited = {}
          @activities = Rooms::Activities.new
          @polls = Polls::Staged.new
          @each = false
        end

        def initialize_copy(_other)
          super
          @waiting, @removed, @threads, @copies, @invited, @activities, @polls =
            [@waiting, @removed, @threads, @copies, @invited, @activities, @polls].map(&:dup)
          @copies_by_person = @copies_by_person.transform_values(&:dup)
        end

        # @return [Boolean] whether each comes in only when they are let in, though the doors are open
        def each? = @each

        # @return [Array<String>] ids of those who wait and come in by themselves once the doors are open
        def coming = @each ? [] : @waiting.reject { |_, row| row[:held] }.keys

        # @return [Hash, nil]
        def step(id) = @steps.find { |step| step[:id] == id }

        # @return [Hash, nil] a board of the lesson, somebody's copy of one, or that of a room
        def board(id)
          @boards.find { |board| board[:id] == id } || (as_board(@copies[id]) if @copies.key?(id)) || @activities.board(id)
        end

        # @return [Hash, nil] the board if all students may see it
        def open_board(id) = board(id)&.then { |board| board if Lessons::Audience.everyone?(board) }

        # @param person [String]
        # @return [Array<Hash>] their copies of what was handed out, as boards
        def copies_for(person) = (@copies_by_person[person] || []).map { |copy| as_board(copy) }

        # @return [String, nil] id of the copy of a board that somebody has, the last one if there are several
        def copy_of(board, person) = @copies_by_person[person]&.reverse_each&.find { |copy| copy[:of] == board }&.fetch(:board)

        # @return [Array<Hash>] boards that are somebody's own: their copies, and those that they made
        def own_boards(person) = copies_for(person) + @boards.select { |board| board[:owner] == person }

        # @return [Boolean] whether a board is somebody's own
        def own?(board, person)
          return GiveCopies.holders(@copies[board]).include?(person) if @copies.key?(board)

          board(board)&.fetch(:owner, nil) == person
        end

        # @return [String] the page of a board that comes on show first
        def first_page(board_id) = board(board_id)&.fetch(:first_page, nil) || Boards::Board::FIRST_PAGE

        # @return [Hash, nil]
        def cue(id) = @steps.flat_map { |step| step[:cues] || [] }.find { |cue| cue[:id] == id }

        # @param id [String] of a poll
        # @return [Hash, nil] the poll of a cue, see {Lessons::Cues.polls}
        def poll_of_cue(id)
          @steps.flat_map { |step| (step[:cues] || []).flat_map { |cue| Lessons::Cues.polls(cue) } }.find { |poll| poll[:id] == id }
        end

        # @return [Hash{String => Integer}] fewest minutes by step
        def shortest = @steps.to_h { |step| step.values_at(:id, :shortest) }

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          body = entry.body
          case entry.kind
          when 'planned' then @steps, @boards, @record_from = body.values_at(:steps, :boards, :record_from)
          when 'boards' then @boards = body[:boards]
          when 'doors_set' then @each = body[:each]
          when 'thread_begun' then @threads << body
          when 'copies_given' then body[:copies].each { |copy| give(copy) }
          when 'paired' then @paired = body
          when 'cued', 'cue_refused' then tried(*body.values_at(:cue, :says))
          else @activities.apply(entry) || @polls.apply(entry) || of_people(entry, body)
          end
          self
        end

        # @return [Integer] how much there is to write down
        def size = @waiting.length + @removed.length + @threads.length + @copies.length + @activities.size + @polls.size

        def to_h
          { steps: @steps, boards: @boards, record_from: @record_from, cued: @cued, refused: refusals,
            waiting: @waiting.values, removed: @removed.values, each: @each, threads: @threads, copies: @copies.values, paired: @paired,
            invited: @invited.values, activities: @activities.to_a, polls: @polls.to_a }
        end
        alias view to_h

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts)
          new.tap do |staff|
            %i[steps boards record_from cued].each { |field| staff.instance_variable_set(:"@#{field}", facts[field]) }
            staff.send(:restore_refusals, facts)
            staff.send(:restore_people, facts)
          end
        end

        private

        # What went wrong the last time is over once it is tried again.
        # @param says [String, nil] why it could not be done
        def tried(cue, says)
          @cued |= [cue]
          @refused = says ? { **@refused, cue => says } : @refused.except(cue)
        end

        def refusals = @refused.map { |cue, says| { cue: cue, says: says } }

        # @param facts [Hash] none of them in states of earlier versions
        def restore_refusals(facts) = @refused = (facts[:refused] || []).to_h { |row| row.values_at(:cue, :says) }

        def of_people(entry, body)
          case entry.kind
          when 'waits' then @waiting[body[:id]] = { **body, since: entry.at }
          when 'waits_no_more' then body[:people].each { |id| @waiting.delete(id) }
          when 'removed' then @removed[body[:id]] = body
          when 'was_invited', 'answered_invitation' then @invited[body[:person]] = { yes: nil, **body }
          when 'let_back' then body[:people].each { |id| @removed.delete(id) }
          end
        end

        def restore_people(facts)
          @waiting, @removed = facts.values_at(:waiting, :removed).map { |rows| by(:id, rows) }
          @each = facts[:each] || false
          @threads = facts[:threads] || []
          (facts[:copies] || []).each { |copy| give(copy) }
          @paired = facts[:paired]
          @invited = by(:person, facts[:invited])
          @activities = Rooms::Activities.new(facts[:activities] || [])
          @polls = Polls::Staged.new(facts[:polls] || [])
        end

        # @param rows [Array<Hash>, nil] nil in states of earlier versions
        def by(key, rows) = (rows || []).to_h { |row| [row[key], row] }

        def give(copy)
          @copies[copy[:board]] = copy
          GiveCopies.holders(copy).each { |person| (@copies_by_person[person] ||= []) << copy }
        end

        # Whoever has a copy keeps it after the class, and may go on with it.
        def as_board(copy)
          { id: copy[:board], name: board(copy[:of])&.fetch(:name), audience: 'people', people: GiveCopies.holders(copy), outside: 'work' }
        end
      end
    end
  end
end
