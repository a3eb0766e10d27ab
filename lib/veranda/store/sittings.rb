# frozen_string_literal: true

module Veranda
  module Store
    # Classes: where each one's streams begin, and which lesson it belongs to.
    class Sittings
      def initialize(db, log, lessons)
        @db = db
        @log = log
        @lessons = lessons
        @over = {}
      end

      KEPT = 200
      private_constant :KEPT

      # @return [Hash] `{ id:, lesson_id:, rehearsal: }`
      # @raise [Core::Refusal] `no_such_class`
      def fetch(id)
        @db[:sittings].first(id: id) || raise(Core::Refusal.new(:no_such_class, 'There is no such class.'))
      end

      # @return [Array<Hash>] sittings of a lesson, newest first
      def of_lesson(lesson_id, rehearsal: false)
        @db[:sittings].where(lesson_id: lesson_id, rehearsal: rehearsal).reverse(:made_at).all
      end

      # Sets up a class, with its streams ready for `class.plan`.
      # @return [String] id
      def create(lesson_id, rehearsal: false, id: Ids.call)
        @db.transaction do
          @db[:sittings].insert(id: id, lesson_id: lesson_id, rehearsal: rehearsal)
          @log.begin(Core::Streams::StreamName.sitting(id))
          @log.begin(Core::Streams::StreamName.exchange(id))
        end
        id
      end

      # Classes that are over change no more, so the latest of them are kept at hand.
      # @return [Core::Sittings::Sitting] to be read only
      def state(id)
        return @over[id] if @over.key?(id)

        sitting = @log.state(Core::Streams::StreamName.sitting(id)).first
        if sitting.ended?
          @over.shift if @over.length >= KEPT
          @over[id] = sitting
        end
        sitting
      end

      # The class of a lesson that goes on or is still to come; a new one when there is none.
      # @param again [Boolean] whether one that has ended is followed by another
      # @return [Hash] `{ id:, lesson_id:, rehearsal: }`
      def current(lesson_id, again: false)
        @db.transaction do
          # Whoever comes first makes it; the lock keeps two from making two.
          @db[:lessons].where(id: lesson_id).for_update.first
          latest = of_lesson(lesson_id).first
          return latest if latest && !(again && state(latest[:id]).ended?)

          fetch(create(lesson_id))
        end
      end

      # Sets up a class to practise in, with copies of the lesson's boards.
      # @return [Hash] `{ id:, lesson_id:, rehearsal: }`
      def rehearsal(lesson_id)
        @db.transaction do
          id = create(lesson_id, rehearsal: true)
          @lessons.copy_boards(lesson_id, id)
          fetch(id)
        end
      end

      # The input of `class.plan`, from the lesson as it stands.
      # @param sitting [Hash]
      # @return [Hash] with string keys, as a client would send it
      def plan(sitting)
        lesson = @lessons.fetch(sitting[:lesson_id])
        boards = @lessons.boards(lesson[:id], rehearsal_id: sitting[:rehearsal] ? sitting[:id] : nil)
        facts = { id: sitting[:id], title: lesson[:title], course: @db[:courses].where(id: lesson[:course_id]).get(:name),
                  starts_at: (lesson[:starts_at].to_f * 1000).round, minutes: lesson[:minutes],
                  steps: steps(lesson, boards), boards: boards.map { |board| board.slice(:id, :name, :audience, :first_page) },
                  record_from: lesson[:record_from], rehearsal: sitting[:rehearsal] }
        JSON.parse(JSON.generate(facts))
      end

      private

      # A rehearsal's boards are copies; steps find theirs by its place in the lesson.
      def steps(lesson, boards)
        places = @lessons.boards(lesson[:id]).map { |board| board[:id] }
        lesson[:steps].map do |step|
          here = ->(id) { (place = places.index(id)) && boards[place][:id] }
          cues = step[:cues].map { |cue| cue.merge({ board: here.call(cue[:board]) }.compact) }
          step.slice(:id, :title, :minutes, :shortest, :material, :rules).merge(board: here.call(step[:board]), cues: cues)
        end
      end
    end
  end
end
