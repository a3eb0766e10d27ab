# frozen_string_literal: true

module Veranda
  module Store
    # Boards of all lessons, as one looks for them: by name, lesson, date, the text on them and when they were
    # last used; and what is new on them since somebody last looked.
    class BoardList
      # Boards whose digest is made again for one search.
      FRESH = 200

      # @param db [Sequel::Database]
      # @param log [Log]
      def initialize(db, log)
        @db = db
        @log = log
      end

      # @param courses [Array<String>] ids
      # @param search [String] words, all of which must be in its name, its lesson or on it
      # @param lesson [String, nil] id
      # @param kind [String] `all`, `templates` or `slides`
      # @return [Array<Hash>] last used first: `{ id:, name:, lesson_id:, lesson:, starts_at:, template:, audience:, outside:,
      #   material_id:, pages:, marks:, words:, authors:, used_at: }`
      def search(courses, search: '', lesson: nil, kind: 'all')
        rows = all.where(course_id: courses, rehearsal_id: nil, copy_of: nil, room_id: nil)
        rows = rows.where(lesson_id: lesson) if lesson
        rows = rows.where(template: true) if kind == 'templates'
        rows = rows.exclude(material_id: nil) if kind == 'slides'
        search.split.each { |word| rows = rows.where(matching(word)) }
        rows.order(Sequel.desc(Sequel[:d][:at], nulls: :last), Sequel.desc(Sequel[:boards][:made_at])).limit(Core::Boards::Board::MOST_LISTED).all
      end

      # What others did on the boards of a lesson since a person last saw them.
      # @return [Array<Hash>] `{ board:, person:, name:, count:, at: }`, `count` in marks
      def news(lesson_id, person_id)
        @db[NEWS, lesson_id: lesson_id, person: person_id].all
      end

      NEWS = <<~SQL
        SELECT boards.id AS board, entries.actor AS person, people.name,
               sum(CASE entries.kind WHEN 'edited' THEN jsonb_array_length(entries.body -> 'ops') ELSE 1 END)::integer AS count,
               max(entries.at) AS at
        FROM boards
        JOIN entries ON entries.stream = 'board/' || boards.id
        JOIN people ON people.id = entries.actor
        LEFT JOIN board_visits AS seen ON seen.board_id = boards.id AND seen.person_id = :person
        WHERE boards.lesson_id = :lesson_id AND boards.rehearsal_id IS NULL AND boards.copy_of IS NULL AND boards.room_id IS NULL AND entries.actor <> :person
          AND entries.kind IN ('edited', 'prop_used', 'page_added') AND entries.seq > coalesce(seen.seq, 0)
        GROUP BY boards.id, entries.actor, people.name
        ORDER BY max(entries.at) DESC
      SQL
      private_constant :NEWS

      # Notes that somebody has seen a board as it is now.
      def visit(board_id, person_id)
        head = @db[:streams].where(name: stream(board_id)).get(:head)
        @db[:board_visits].insert_conflict(target: %i[person_id board_id], update: { seq: head, at: Sequel::CURRENT_TIMESTAMP })
                          .insert(person_id: person_id, board_id: board_id, seq: head)
      end

      # When a board changed and by whom, for looking back.
      # @param page [String]
      # @return [Array<Hash>] `{ seq:, at:, by:, way:, count: }` of every entry that changed marks of the page, oldest first
      def changes(board_id, page)
        state = Core::Streams::Fold.start(stream(board_id))
        @log.entries(stream(board_id), without: Core::Streams::Fold::IDLE_KINDS).filter_map do |entry|
          touched = touched(entry, state, page)
          state.apply(entry)
          { seq: entry.seq, at: entry.at, by: entry.actor, way: entry.body[:way], count: touched } if touched.positive?
        end
      end

      # @param courses [Array<String>] ids
      # @return [Boolean] whether any digest is older than its board
      def stale?(courses) = !stale(courses).empty?

      # Makes digests again of boards that have grown since, the newest first; it folds them, which takes a while.
      # @param courses [Array<String>] ids
      # @return [Integer] how many
      def refresh(courses)
        newest = stale(courses).order(Sequel.desc(Sequel[:boards][:made_at])).limit(FRESH)
        newest.select_map(Sequel[:boards][:id]).each { |id| digest(id) }.length
      end

      private

      def stream(board_id) = Core::Streams::StreamName.board(board_id)

      def touched(entry, state, page)
        return 0 unless entry.kind == 'edited'

        entry.body[:ops].count { |op| (op[:mark] || state.marks[op[:id]] || {})[:page] == page || op.dig(:set, :page) == page }
      end

      def all
        @db[:boards].join(:lessons, id: :lesson_id).left_join(:board_digests, { board_id: Sequel[:boards][:id] }, table_alias: :d)
                    .select(Sequel[:boards][:id], Sequel[:boards][:name], :lesson_id, Sequel[:lessons][:title].as(:lesson), :starts_at,
                            :course_id, :template, :audience, :outside, :material_id, :pages, :marks, :words, :authors,
                            Sequel[:d][:at].as(:used_at))
      end

      def matching(word)
        like = "%#{@db[:boards].escape_like(word)}%"
        [Sequel[:boards][:name], Sequel[:lessons][:title], :words, :authors].map do |column|
          Sequel.ilike(column, like)
        end.reduce(:|)
      end

      def stale(courses)
        @db[:boards].join(:lessons, id: :lesson_id).join(:streams, name: Sequel.join(['board/', Sequel[:boards][:id]]))
                    .left_join(:board_digests, { board_id: Sequel[:boards][:id] }, table_alias: :d)
                    .where(course_id: courses, rehearsal_id: nil, copy_of: nil, room_id: nil).where { head > coalesce(d[:seq], -1) }
      end

      def digest(id)
        board, seq, at = @log.state(stream(id))
        facts = { seq: seq, at: at, pages: board.pages.length, marks: board.marks.length, words: board.words,
                  authors: board.authors.values.join(', ') }
        @db[:board_digests].insert_conflict(target: :board_id, update: facts).insert(board_id: id, **facts)
      end
    end
  end
end
