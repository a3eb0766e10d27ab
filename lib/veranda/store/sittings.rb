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

      # @param rehearsal [String, nil] id of the one whose boards they are
      # @return [Array<Hash>] sittings that are not over and show the boards of a lesson, or those of a rehearsal of it
      def showing_boards(lesson_id, rehearsal: nil)
        found = @db[:sittings].where(lesson_id: lesson_id).exclude(status: 'ended')
        (rehearsal ? found.where(id: rehearsal) : found.where(rehearsal: false)).all
      end

      # @return [Array<Hash>] classes of a lesson that have not begun, without rehearsals
      def not_begun(lesson_id) = @db[:sittings].where(lesson_id: lesson_id, rehearsal: false, status: 'planned').all

      # @param lesson_ids [Array<String>]
      # @return [Hash{String => Hash}] the latest real class of each
      def latest(lesson_ids)
        @db[:sittings].where(lesson_id: lesson_ids, rehearsal: false).order(:lesson_id, Sequel.desc(:made_at))
                      .distinct(:lesson_id).as_hash(:lesson_id)
      end

      # Classes that go on at once, at most, that are looked through.
      MOST_GOING_ON = 10_000

      # @return [Array<String>] ids of all classes that go on now
      def going_on = @db[:sittings].where(status: 'open').limit(MOST_GOING_ON).select_map(:id)

      # A class in which nothing happened for so long, not even that somebody came or went, was never ended. In s.
      FORGOTTEN = 6 * 3_600
      private_constant :FORGOTTEN

      # @return [Boolean] whether any class goes on now
      def any_going_on?(now: Time.now)
        open = @db[:sittings].where(status: 'open').order(Sequel.desc(:made_at)).limit(MOST_GOING_ON).select_map(:id)
        last = @db[:streams].join(:entries, stream: :name, seq: Sequel[:streams][:head])
        last.where(name: open.flat_map { |id| streams(id) }).where { at > ((now - FORGOTTEN).to_f * 1000).round }.any?
      end

      # @return [String, nil] id of the class of a lesson that goes on now
      def open_of(lesson_id)
        @db[:sittings].where(lesson_id: lesson_id, rehearsal: false, status: 'open').reverse(:made_at).get(:id)
      end

      # @return [Boolean] whether somebody was turned out of a class of a lesson that goes on now
      def turned_out?(lesson_id, person_id)
        open = @db[:sittings].where(lesson_id: lesson_id, rehearsal: false, status: 'open').select(:id)
        !@db[:turned_out].where(sitting_id: open, person_id: person_id).empty?
      end

      # @return [String, nil] name of a guest who came to a lesson by the same link as another one, and was removed from a class of it
      def removed_by_link(sitting_id, lesson_id, person_id)
        link = @db[:guests].where(lesson_id: lesson_id, person_id: person_id).select(:link_id)
        @db[:turned_out].join(:guests, { lesson_id: lesson_id, person_id: :person_id }).join(:people, id: Sequel[:guests][:person_id])
                        .where(sitting_id: sitting_id, removed: true, link_id: link)
                        .exclude(Sequel[:guests][:person_id] => person_id).get(:name)
      end

      # @return [Sequel::Dataset] ids of all classes of a course
      def ids_of_course(course_id) = @db[:sittings].where(lesson_id: @db[:lessons].where(course_id: course_id).select(:id)).select(:id)

      # @param course_id [String]
      # @return [Array<String>] streams of what was said, answered and drawn in all classes of a course, in their main and breakout rooms,
      #   and on its
      #   boards
      def streams_of_course(course_id)
        names = Core::Streams::StreamName
        classes = @db[:sittings].join(:lessons, id: :lesson_id).where(course_id: course_id,
                                                                      rehearsal: false).select_map(Sequel[:sittings][:id])
        boards = @db[:boards].join(:lessons, id: :lesson_id).where(course_id: course_id, rehearsal_id: nil)
        places = classes.map { |id| [id, Core::Sittings::Places::MAIN] } +
                 boards.exclude(room_id: nil).exclude(sitting_id: nil).distinct.select_map(%i[sitting_id room_id])
        places.flat_map { |place| [names.place(*place), names.exchange(*place)] } +
          classes.flat_map { |id| @log.parts_of('answers', id) } +
          boards.select_map(Sequel[:boards][:id]).map { |id| names.board(id) }
      end

      # @param sitting_id [String]
      # @param people [Array<String>]
      # @return [Array<String>] those of them who were never in another class of the course
      def newcomers(sitting_id, people)
        course = @db[:lessons].where(id: @db[:sittings].where(id: sitting_id).select(:lesson_id)).get(:course_id)
        others = @db[:sittings].join(:lessons, id: :lesson_id).where(course_id: course, rehearsal: false)
                               .exclude(Sequel[:sittings][:id] => sitting_id).select_map(Sequel[:sittings][:id])
        names = others.product(people).to_h { |sitting, person| [Core::Streams::StreamName.own(sitting, person), person] }
        placed = @db[:entries].where(stream: names.keys, kind: 'placed').exclude(Sequel.lit("body->>'place'") => Core::Sittings::Places::WAITING)
        people - names.values_at(*placed.distinct.select_map(:stream))
      end

      # Sets up a class, with its streams ready for `class.plan`.
      # @return [String] id
      def create(lesson_id, rehearsal: false, id: Ids.call)
        @db.transaction do
          @db[:sittings].insert(id: id, lesson_id: lesson_id, rehearsal: rehearsal)
          streams(id).each { |name| @log.begin(name) }
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
          return latest if latest && !(again && latest[:status] == 'ended')

          fetch(create(lesson_id))
        end
      end

      # How long a rehearsal is kept, and how many old ones are let go when a new one is made.
      REHEARSAL_LASTS = 7 * 86_400
      PRUNED = 5

      # Sets up a class to practise in, with copies of the lesson's boards.
      # @return [Hash] `{ id:, lesson_id:, rehearsal: }`
      def rehearsal(lesson_id)
        prune
        @db.transaction do
          id = create(lesson_id, rehearsal: true)
          @lessons.copy_boards(lesson_id, id)
          fetch(id)
        end
      end

      # Lets go of rehearsals of long ago, with all that was practised in them.
      # @param before [Time]
      # @return [Integer] how many
      def prune(before: Time.now - REHEARSAL_LASTS)
        old = @db[:sittings].where(rehearsal: true) { made_at < before }.limit(PRUNED).select_map(:id)
        old.each { |id| @db.transaction { forget(id) } }.length
      end

      # The input of `class.plan`, from the lesson as it stands.
      # @param sitting [Hash]
      # @return [Hash] with string keys, as a client would send it
      def plan(sitting)
        lesson = @lessons.fetch(sitting[:lesson_id])
        boards = board_facts(lesson[:id], rehearsal_id: sitting[:rehearsal] ? sitting[:id] : nil)
        facts = { id: sitting[:id], title: lesson[:title], course: @db[:courses].where(id: lesson[:course_id]).get(:name),
                  starts_at: (lesson[:starts_at].to_f * 1000).round, minutes: lesson[:minutes],
                  steps: steps(lesson, boards), boards: boards,
                  record_from: lesson[:record_from], rehearsal: sitting[:rehearsal], **welcome(lesson) }
        facts[:cancelled] = true if lesson[:cancelled] && !sitting[:rehearsal]
        JSON.parse(JSON.generate(facts))
      end

      # @return [Array<Hash>] what a class knows of its boards
      def board_facts(lesson_id, rehearsal_id: nil)
        @lessons.boards(lesson_id, rehearsal_id: rehearsal_id).map do |board|
          board.slice(:id, :name, :audience, :people, :outside, :first_page).merge({ owner: board[:owner_id] }.compact)
        end
      end

      private

      def welcome(lesson)
        version = lesson[:welcome_picture] && @db[:materials].where(id: lesson[:welcome_picture]).get(:version)
        picture = version && { material: lesson[:welcome_picture], version: version }
        { words: lesson[:welcome], ink: lesson[:welcome_ink], picture: picture }.reject { |_, value| value.nil? || value.empty? }
      end

      def forget(id)
        boards = @db[:boards].where(rehearsal_id: id).select_map(:id).map { |board| Core::Streams::StreamName.board(board) }
        names = @log.of_whole(:class, id) | boards
        @log.forget(names)
        @log.ballots.forget(names.grep(%r{\A(poll|questions)/}))
        @db[:sittings].where(id: id).delete
      end

      # Streams of single people begin when they come.
      def streams(id)
        names = Core::Streams::StreamName
        places = Core::Sittings::Places
        [names.sitting(id), names.staff(id), names.place(id, places::WAITING), names.place(id, places::MAIN), names.exchange(id)]
      end

      # A rehearsal's boards are copies; steps find theirs by its place in the lesson.
      def steps(lesson, boards)
        places = @lessons.boards(lesson[:id]).map { |board| board[:id] }
        lesson[:steps].map do |step|
          here = ->(id) { (place = places.index(id)) && boards[place][:id] }
          cues = step[:cues].map { |cue| Core::Lessons::Cues.on_boards(cue, here) }
          step.slice(:id, :title, :minutes, :shortest, :notes, :leads, :material, :rules).merge(board: here.call(step[:board]), cues: cues)
        end
      end
    end
  end
end
