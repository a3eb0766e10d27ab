# frozen_string_literal: true

module Veranda
  module Store
    # What can be found in recordings: every word that may be seen in one, with when it came. It is read anew once a recording was edited;
    # until then nothing of it is found, so that nothing is found that was hidden since.
    class RecordedWords
      # Places in one recording, and in all, that are told at once.
      MOST_IN_ONE = 8
      MOST = 200
      # Languages whose stems are known (https://www.postgresql.org/docs/15/textsearch-dictionaries.html, 12.6.6), by ISO 639-1. Of others
      # words are found as they stand.
      STEMS = {
        'ar' => 'arabic', 'da' => 'danish', 'de' => 'german', 'el' => 'greek', 'en' => 'english', 'es' => 'spanish', 'fi' => 'finnish',
        'fr' => 'french', 'hu' => 'hungarian', 'id' => 'indonesian', 'it' => 'italian', 'lt' => 'lithuanian', 'nl' => 'dutch',
        'no' => 'norwegian', 'pt' => 'portuguese', 'ro' => 'romanian', 'ru' => 'russian', 'sv' => 'swedish', 'tr' => 'turkish'
      }.freeze
      AS_THEY_STAND = 'simple'

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
      end

      # @param ids [Array<String>] of classes
      # @return [Hash{String => Integer}] those that have to be read, with the last of their edits
      def unread(ids)
        heads = @db[:streams].where(name: ids.map { |id| Core::Streams::StreamName.recording(id) }).select_hash(:name, :head)
        read = @db[:recordings].where(sitting_id: ids).exclude(read_at: nil).select_hash(:sitting_id, :read_at)
        ids.to_h { |id| [id, heads.fetch(Core::Streams::StreamName.recording(id), 0)] }.reject { |id, head| read[id] == head }
      end

      # @param sitting_id [String]
      # @param head [Integer] the last edit that was known when it was read
      # @param rows [Array<Hash>] `{ at:, kind:, words:, board:, page: }`
      def keep(sitting_id, head, rows)
        stems = stems_of(sitting_id)
        @db.transaction do
          # Two that read at the same time take turns, and what was read of older edits never comes after newer ones.
          @db[:recordings].insert_conflict.insert(sitting_id: sitting_id)
          next if @db[:recordings].where(sitting_id: sitting_id).for_update.get(:read_at).to_i > head

          @db[:recorded_words].where(sitting_id: sitting_id).delete
          @db[:recorded_words].multi_insert(rows.map { |row| { **row, sitting_id: sitting_id, stems: stems } }, commit_every: 500)
          @db[:recordings].where(sitting_id: sitting_id).update(read_at: head)
        end
      end

      # @param ids [Array<String>] of classes whose recordings one may watch, and that were read
      # @param text [String] words, or the beginning of some; a part in quotes is found as it stands
      # @param in_one [Integer] places in one recording at most
      # @return [Array<Hash>] `{ sitting_id:, at:, kind:, words:, board:, page: }`, in order of time within each
      def find(ids, text, in_one: MOST_IN_ONE)
        return [] if ids.empty? || text.strip.empty?

        @db[found(ids), ids: Sequel.pg_array(ids, :text), text: text, part: "%#{@db[:x].escape_like(text.strip)}%", most: MOST,
                        in_one: in_one].all
      end

      # Words by their stems, or as they stand within others (https://www.postgresql.org/docs/15/pgtrgm.html, F.35.5).
      FOUND = <<~SQL
        SELECT sitting_id, at, kind, words, board, page FROM (
          SELECT sitting_id, at, kind, words, board, page, row_number() OVER (PARTITION BY sitting_id ORDER BY at) AS number
          FROM recorded_words
          WHERE sitting_id = ANY (:ids) AND (%s OR words ILIKE :part)
        ) AS places
        WHERE number <= :in_one
        ORDER BY sitting_id, at LIMIT :most
      SQL
      private_constant :FOUND

      private

      # Each language is asked for by itself, since an index is of use for words that are known beforehand.
      def found(ids)
        stems = courses(ids).distinct.select_map(:language).map { |language| STEMS.fetch(language, AS_THEY_STAND) }.uniq
        either = stems.map { |one| "(stems = '#{one}'::regconfig AND found @@ websearch_to_tsquery('#{one}', :text))" }
        format(FOUND, either.any? ? "(#{either.join(' OR ')})" : 'false')
      end

      def stems_of(sitting_id) = STEMS.fetch(courses([sitting_id]).get(:language) || 'en', AS_THEY_STAND)

      def courses(ids)
        @db[:sittings].where(Sequel[:sittings][:id] => ids).join(:lessons, id: :lesson_id).join(:courses, id: Sequel[:lessons][:course_id])
      end
    end
  end
end
