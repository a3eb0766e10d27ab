# frozen_string_literal: true

module Veranda
  module Store
    # Polls that are kept to be used again, in the order that their course's staff gave them. Lessons have theirs on their steps: what is
    # taken from the bank is copied there, so that changing one changes no lesson.
    class PollBank
      # Of one course.
      MOST = 1_000
      # Found by one search.
      MOST_FOUND = 200
      # Classes in which one picture is looked for.
      MOST_SHOWING = 50

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
      end

      # @param courses [Array<String>]
      # @param words [String] that the question, an option or a label has to hold
      # @return [Array<Hash>] `{ id:, course:, question:, labels:, changed_at:, lesson: }`; first those that are kept, then those of lessons
      def find(courses, words: '')
        needle = words.strip.downcase
        found = kept(courses) + of_lessons(courses)
        found = found.select { |row| text(row).include?(needle) } unless needle.empty?
        found.first(MOST_FOUND)
      end

      # @param material [String] id
      # @return [Array<String>] streams of the polls of classes that show it, newest first
      def showing(material)
        picture = { picture: { material: material } }
        with = [{ question: picture }, { question: { options: [picture] } }].map do |part|
          Sequel.lit('body @> CAST(? AS jsonb)', JSON.generate(part))
        end
        rows = @db[:entries].where(kind: 'poll_staged').where(Sequel.|(*with)).reverse(:at).limit(MOST_SHOWING)
        rows.select_map([:stream, Sequel.lit("body->>'id'").as(:poll)]).uniq
            .map { |stream, poll| Core::Streams::StreamName.poll(Core::Streams::StreamName.id(stream), poll) }
      end

      # @param question [Hash]
      # @return [Hash] the row
      def add(course, question, labels, by)
        Turn.of(@db, 'poll bank', course) do
          raise Core::Refusal.new(:too_many_polls, "The bank of a course holds #{MOST} polls. Take some out first.") if full?(course)

          id = Ids.call
          last = @db[:polls].where(course_id: course).max(:place) || 0
          @db[:polls].insert(id: id, course_id: course, question: Sequel.pg_jsonb(question), labels: Sequel.pg_array(labels, :text),
                             place: last + 1, made_by: by)
          fetch(course, id)
        end
      end

      # @return [Hash] the row
      # @raise [Core::Refusal] `no_such_poll`
      def fetch(course, id)
        row = @db[:polls].where(course_id: course).first(id: id)
        row ? facts(row) : raise(Core::Refusal.new(:no_such_poll, 'There is no such poll in the bank.'))
      end

      # @param changes [Hash] `question:`, `labels:`, `before:` (id of the one in front of which it goes; nil for the end)
      # @return [Hash] the row
      def change(course, id, changes)
        fetch(course, id)
        columns = { question: changes[:question]&.then { |one| Sequel.pg_jsonb(one) },
                    labels: changes[:labels]&.then { |some| Sequel.pg_array(some, :text) } }.compact
        @db[:polls].where(id: id).update(changed_at: Sequel::CURRENT_TIMESTAMP, **columns) if columns.any?
        move(course, id, changes[:before]) if changes.key?(:before)
        fetch(course, id)
      end

      def remove(course, id) = @db[:polls].where(course_id: course, id: id).delete

      private

      def full?(course) = @db[:polls].where(course_id: course).count >= MOST

      def move(course, id, before)
        @db.transaction do
          ids = @db[:polls].where(course_id: course).order(:place, :id).for_update.select_map(:id) - [id]
          ids.insert(ids.index(before) || ids.length, id)
          ids.each.with_index(1) { |one, place| @db[:polls].where(id: one).update(place: place) }
        end
      end

      def kept(courses)
        @db[:polls].where(course_id: courses).order(:course_id, :place, :id).limit(MOST).map { |row| facts(row) }
      end

      # The newest lessons first.
      def of_lessons(courses)
        rows = @db[:lessons].where(course_id: courses).where(Sequel.lit(%q(steps @> '[{"cues": [{"kind": "poll"}]}]')))
                            .reverse(:starts_at).limit(MOST_FOUND).select(:course_id, :title, :steps, :starts_at)
        rows.flat_map { |row| of_lesson(row) }
      end

      def of_lesson(row)
        cues = row[:steps].flat_map { |step| step['cues'] || step[:cues] || [] }.map { |cue| symbols(cue) }
        cues.select { |cue| cue[:kind] == 'poll' && cue[:question] }.map do |cue|
          { id: cue[:id], course: row[:course_id], question: cue[:question], labels: [], changed_at: (row[:starts_at].to_f * 1000).round,
            lesson: row[:title] }
        end
      end

      def facts(row)
        { id: row[:id], course: row[:course_id], question: symbols(row[:question]), labels: row[:labels].to_a,
          changed_at: (row[:changed_at].to_f * 1000).round, lesson: nil }
      end

      def symbols(value) = JSON.parse(JSON.generate(value), symbolize_names: true)

      def text(row)
        question = row[:question]
        [question[:text], *(question[:options] || []).map do |option|
          option[:text]
        end, *row[:labels], row[:lesson]].compact.join("\n").downcase
      end
    end
  end
end
