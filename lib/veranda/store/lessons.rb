# frozen_string_literal: true

module Veranda
  module Store
    # Lessons, as their plans say ({PlanTables}), and their boards.
    class Lessons
      # @param db [Sequel::Database]
      # @param log [Log]
      # @param errands [Errands]
      def initialize(db, log, errands)
        @db = db
        @log = log
        @errands = errands
      end

      # @return [Hash] `{ id:, course_id:, number:, title:, starts_at: Time, minutes:, steps: [{id:, title:, minutes:,
      #   shortest:, notes:, board:}], record_from:, welcome:, welcome_ink:, welcome_picture:,
      #   invited_only:, version: }`
      # @raise [Core::Refusal] `no_such_lesson`
      def fetch(id)
        tidy(@db[:lessons].first(id: id)) || raise(no_such_lesson)
      end

      # @return [Array<Hash>] `{ id:, course_id: }` of lessons whose welcome has a picture
      def welcoming_with(material_id) = @db[:lessons].where(welcome_picture: material_id).select(:id, :course_id).all

      # @param course_ids [Array<String>]
      # @param after [Time, nil] only those that begin later than that
      # @param limit [Integer, nil]
      # @return [Array<Hash>] in order of time
      def of_courses(course_ids, after: nil, limit: nil)
        rows = @db[:lessons].where(course_id: course_ids).order(:starts_at)
        rows = rows.where { starts_at > after } if after
        rows.limit(limit).map { |row| tidy(row) }
      end

      # @param from [Time]
      # @param to [Time]
      # @return [Array<Hash>] lessons of some courses that begin in between, in order, without steps
      def between(course_ids, from, to, limit:)
        rows = @db[:lessons].where(course_id: course_ids, starts_at: from...to).order(:starts_at, :id).limit(limit)
        rows.select(:id, :course_id, :title, :number, :minutes, :starts_at, :series, :slot, :cancelled, :held, :version)
            .map { |row| row.merge(slot: PlanTables.plain(row[:slot])) }
      end

      # @return [Hash{String => Integer}] how many lessons each course has that are not called off
      def counts(course_ids)
        @db[:lessons].where(course_id: course_ids, cancelled: false).group_and_count(:course_id).as_hash(:course_id, :count)
      end

      # Lessons in which any of some people are, from one time to another.
      # @return [Array<Hash>] `{ id:, course_id:, title:, starts_at: Time, minutes:, people: [ids] }`, without those that are called off
      def with_people(people, from, to)
        by_course = @db[:memberships].where(person_id: people).select_hash_groups(:course_id, :person_id)
        rows = @db[:lessons].where(course_id: by_course.keys, starts_at: from..to, cancelled: false)
        rows.select(:id, :course_id, :title, :starts_at, :minutes, :series).map { |row| row.merge(people: by_course[row[:course_id]]) }
      end

      # @return [Array<Hash>] lessons of a series, `{ id:, slot:, starts_at: ms, minutes:, title:, cancelled:, held: }`, without steps
      def of_series(course_id, series)
        rows = @db[:lessons].where(course_id: course_id, series: series).order(:number)
        rows.select(:id, :slot, :starts_at, :minutes, :title, :cancelled, :held, :steps).map do |row|
          PlanTables.facts(row).merge(id: row[:id]).except(:steps)
        end
      end

      # @return [Hash{String => Hash}] `{ title:, course_id: }` of all lessons of some courses by id, in the order in which they begin
      def titles(course_ids) = @db[:lessons].where(course_id: course_ids).order(:starts_at).select(:id, :title, :course_id).as_hash(:id)

      # Begins the plan of a lesson.
      # @param series [Hash] `series:` and `slot:` of one that recurs
      # @return [String] id of the new lesson
      def create(course_id:, title:, starts_at:, minutes:, steps: [], number: nil, id: Ids.call, **series)
        @db.transaction do
          number ||= (@db[:lessons].where(course_id: course_id).max(:number) || 0) + 1
          @log.begin(Core::Streams::StreamName.plan(id))
          write(id, 'plan_begun', { course_id: course_id, number: number, title: title, starts_at: starts_at, minutes: minutes,
                                    steps: steps, record_from: steps.first&.fetch(:id), **series })
        end
        id
      end

      # Lays a plan down as it came from elsewhere: whoever edits it gives commands.
      # @param facts [Hash] any of {Core::Lessons::Plan::FIELDS} and `steps:`; `starts_at` as a Time
      def lay(id, **facts) = write(id, 'plan_set', facts)

      # @param rehearsal_id [String, nil] for the copies that one rehearsal uses
      # @return [Array<Hash>] `{ id:, lesson_id:, name:, audience:, people:, outside:, template:, material_id:, first_page: }`, oldest
      #   first, without people's own copies and those of rooms
      def boards(lesson_id, rehearsal_id: nil)
        rows = @db[:boards].where(lesson_id: lesson_id, rehearsal_id: rehearsal_id, copy_of: nil, room_id: nil)
        rows.order(:made_at).select(*BOARD_COLUMNS).map { |row| plain(row) }
      end

      # @param lesson_ids [Array<String>]
      # @return [Hash{String => Integer}] how many boards each has
      def board_counts(lesson_ids)
        @db[:boards].where(lesson_id: lesson_ids, rehearsal_id: nil, copy_of: nil, room_id: nil).group_and_count(:lesson_id).as_hash(
          :lesson_id, :count
        )
      end

      BOARD_COLUMNS = %i[id lesson_id name audience people outside template material_id first_page owner_id].freeze

      # @return [Hash] the board
      # @raise [Core::Refusal] `no_such_board`
      def board(id)
        row = @db[:boards].first(id: id)
        row ? plain(row) : raise(Core::Refusal.new(:no_such_board, 'There is no such board.'))
      end

      # @return [String] id of the new board, whose stream is ready
      def add_board(lesson_id, name:, audience: 'everyone', id: Ids.call, **more)
        @db.transaction do
          @db[:boards].insert(id: id, lesson_id: lesson_id, name: name, audience: audience, **more)
          @log.begin(Core::Streams::StreamName.board(id))
          listed(lesson_id, more)
        end
        id
      end

      # So many boards of their own somebody has in a lesson, besides copies that they were given.
      MOST_OWN = 10

      # Makes a board that is one person's own; whatever else the block does with it is in the same commit.
      # @param facts [Hash] as for {#add_board}
      # @yieldparam id [String]
      # @return [String] id
      # @raise [Core::Refusal] `too_many_boards`
      def add_own(lesson_id, person_id, **facts)
        Turn.of(@db, 'own boards', lesson_id, person_id) do
          if @db[:boards].where(lesson_id: lesson_id, owner_id: person_id, copy_of: nil).count >= MOST_OWN
            raise Core::Refusal.new(:too_many_boards, "You have made #{MOST_OWN} boards in this lesson. Go on on one of them.")
          end

          own = { owner_id: person_id, people: Sequel.pg_array([person_id], :text), audience: 'people', outside: 'work' }
          add_board(lesson_id, **own, **facts).tap { |id| yield id if block_given? }
        end
      end

      # @param changes [Hash] any of `name`, `audience`, `people`, `outside`, `template`, `first_page`
      # @return [Hash] the board
      def update_board(id, **changes)
        changes[:people] = Sequel.pg_array(changes[:people], :text) if changes[:people]
        @db.transaction do
          @db[:boards].where(id: id).update(changes) unless changes.empty?
          board(id).tap { |row| listed(row[:lesson_id], row) }
        end
      end

      # Copies a lesson's boards as they are now for a rehearsal, without what led there.
      def copy_boards(lesson_id, rehearsal_id)
        boards(lesson_id).each do |board|
          state, _, at = @log.state(Core::Streams::StreamName.board(board[:id]))
          # Those who rehearse are nobody whom a board could name.
          audience = board[:audience] == 'everyone' ? 'everyone' : 'staff'
          copy = add_board(lesson_id, rehearsal_id: rehearsal_id, **board.except(:id, :lesson_id, :people), audience: audience)
          fill(copy, state.as_taken_in, at) unless at.zero?
        end
      end

      # Fills a new board with what there is on another.
      # @param taken_in [Hash] see {Core::Boards::Board#as_taken_in}
      # @param at [Integer] ms since the epoch
      def fill(board_id, taken_in, at)
        stream = Core::Streams::StreamName.board(board_id)
        taken = Core::Streams::Entry.new(stream: stream, seq: 1, at: at, actor: 'house', kind: 'taken_in', body: taken_in)
        @log.append([stream]) { [taken] }
      end

      # s in which whoever changes a board tells its classes themselves.
      TOLD_WITHIN = 10
      private_constant :TOLD_WITHIN

      private

      # Its classes are told whatever becomes of this process; copies and boards of rooms they are told of by those who make them.
      def listed(lesson, row)
        return if row[:copy_of] || row[:room_id]

        @errands.ask(Core::Errands.tell_boards(lesson, rehearsal: row[:rehearsal_id]), within: TOLD_WITHIN)
      end

      def plain(row) = row.merge(people: row[:people].to_a)

      def no_such_lesson = Core::Refusal.new(:no_such_lesson, 'There is no such lesson.')

      def write(id, kind, facts)
        stream = Core::Streams::StreamName.plan(id)
        facts = facts.merge(starts_at: (facts[:starts_at].to_r * 1000).round) if facts[:starts_at]
        @log.append([stream]) do |heads|
          [Core::Streams::Entry.new(stream: stream, seq: heads.fetch(stream) + 1, at: now, actor: 'house', kind: kind, body: facts)]
        end
      end

      def now = Process.clock_gettime(Process::CLOCK_REALTIME, :millisecond)

      def tidy(row)
        facts = row && PlanTables.facts(row)
        facts && row.merge(steps: facts[:steps].map { |step| Core::Lessons::Plan::STEP.merge(step) }, slot: facts[:slot])
      end
    end
  end
end
