# frozen_string_literal: true

module Veranda
  module Store
    # People's own copies of boards that were handed out in a class. Nobody has two of the same.
    class OwnCopies
      # Names of all whose copy it is.
      OWNERS = "(SELECT string_agg(people.name, ' and ' ORDER BY people.name) FROM people WHERE people.id = ANY(boards.people))"
      private_constant :OWNERS

      # @param db [Sequel::Database]
      # @param log [Log]
      # @param lessons [Lessons]
      def initialize(db, log, lessons)
        @db = db
        @log = log
        @lessons = lessons
      end

      # Makes the copies that are missing, with what is on the board now; none of a board that is not for everyone any more.
      # @param sitting [Hash] `{ id:, rehearsal: }`
      # @param board [Hash] the one that is handed out
      # @param people [Array<String>]
      # @return [Array<Hash>] `{ board:, person: }` of all those people
      def make(sitting, board, people)
        state, _, at = @log.state(Core::Streams::StreamName.board(board[:id]))
        # Asked after the board was read: what was put on it once it was closed is in no copy.
        return [] unless Core::Lessons::Audience.everyone?(@lessons.board(board[:id]))

        taken_in = state.as_taken_in unless at.zero?
        people.map { |person| { board: of(sitting, board, person) || one(sitting, board, person, taken_in, at), person: person } }
      end

      # Makes a copy for some to work on together; those that are missing, when it is done again.
      # @param groups [Array<Array<String>>] people
      # @param round [String] id of what they work on together
      # @return [Array<Hash>] `{ board:, person:, with: }`
      def make_for_groups(sitting, board, groups, round)
        state, _, at = @log.state(Core::Streams::StreamName.board(board[:id]))
        return [] unless Core::Lessons::Audience.everyone?(@lessons.board(board[:id]))

        taken_in = state.as_taken_in unless at.zero?
        groups.each_with_index.map do |people, i|
          id = Ids.of("#{round} #{board[:id]} #{i}")
          filled(sitting, board, people, taken_in, at, id: id) if @db[:boards].where(id: id).empty?
          { board: id, person: people.first, with: people.drop(1) }
        end
      end

      # @param lesson_id [String]
      # @param person [String, nil] theirs alone
      # @return [Array<Hash>] of real classes: `{ id:, name:, copy_of:, owner_id:, owner:, sitting_id:, audience:, people:, outside:,
      #   first_page: }`
      def of_lesson(lesson_id, person: nil)
        rows = @db[:boards].where(lesson_id: lesson_id, rehearsal_id: nil, room_id: nil).exclude(copy_of: nil)
        rows = rows.where(Sequel.lit('? = ANY(boards.people)', person)) if person
        rows.order(:made_at).select_all(:boards).select_append(Sequel.lit(OWNERS).as(:owner)).map do |row|
          row.merge(people: row[:people].to_a)
        end
      end

      # What has become of some copies: how much was done on each by those whom it belongs to, and when last.
      # @param ids [Array<String>] of boards
      # @return [Hash{String => Hash}] `{ edits:, at: }` by board, `at` in ms; only those on which something was done
      def work(ids)
        streams = ids.to_h { |id| [Core::Streams::StreamName.board(id), id] }
        rows = @db[:entries].join(:boards, Sequel.join(['board/', Sequel[:boards][:id]]) => Sequel[:entries][:stream])
                            .where(stream: streams.keys, kind: %w[edited prop_used page_added])
                            .where(Sequel.lit('actor = ANY(boards.people)'))
                            .group_and_count(:stream).select_append(Sequel.function(:max, :at).as(:at))
        rows.to_h { |row| [streams.fetch(row[:stream]), { edits: row[:count], at: row[:at] }] }
      end

      private

      def of(sitting, board, person) = @db[:boards].where(sitting_id: sitting[:id], copy_of: board[:id], owner_id: person).get(:id)

      # Two processes may be asked at once: whoever comes second takes what the first has made.
      def one(sitting, board, person, taken_in, at)
        filled(sitting, board, [person], taken_in, at, owner_id: person)
      rescue Sequel::UniqueConstraintViolation
        of(sitting, board, person)
      end

      def filled(sitting, board, people, taken_in, at, owner_id: nil, id: Ids.call)
        @db.transaction(savepoint: true) do
          facts = { audience: 'people', people: Sequel.pg_array(people, :text), outside: 'work', first_page: board[:first_page],
                    rehearsal_id: (sitting[:id] if sitting[:rehearsal]), sitting_id: sitting[:id], copy_of: board[:id], owner_id: owner_id }
          @lessons.add_board(board[:lesson_id], id: id, name: board[:name], **facts)
          @lessons.fill(id, taken_in, at) if taken_in
          id
        end
      end
    end
  end
end
