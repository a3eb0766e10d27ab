# frozen_string_literal: true

module Veranda
  module Preparing
    # Makes a lesson's class ready to be entered: set up, and planned as the lesson stands now.
    class Classes
      # @param archive [Store::Archive]
      def initialize(archive)
        @archive = archive
      end

      # @param lesson [Hash]
      # @param again [Boolean] whether an ended class is followed by a new one
      # @return [String] id of the class
      def ready(lesson, again: false) = planned(@archive.sittings.current(lesson[:id], again: again))

      # @return [String] id of a class to practise in
      def rehearsal(lesson) = planned(@archive.sittings.rehearsal(lesson[:id]))

      # Tells the classes of a lesson that are not over what its boards are now. What somebody changes meanwhile they are told of too.
      # @param lesson_id [String]
      # @param rehearsal [String, nil] id of the one whose boards they are
      def boards_changed(lesson_id, rehearsal: nil)
        errand = @archive.errands.waiting(Core::Errands.tell_boards(lesson_id, rehearsal: rehearsal).key)
        @archive.sittings.showing_boards(lesson_id, rehearsal: rehearsal).each { |row| in_turn(row) { tell(row) } }
        @archive.errands.done(errand) if errand
      end

      # Tells the class of a lesson that is set up and has not begun what it will be taught, and when: somebody may be waiting for it.
      # @param lesson_id [String]
      def plan_changed(lesson_id) = @archive.sittings.not_begun(lesson_id).each { |row| planned(row) }

      private

      def board_facts(sitting)
        @archive.sittings.board_facts(sitting[:lesson_id], rehearsal_id: (sitting[:id] if sitting[:rehearsal]))
      end

      # Whoever looked first could tell last, and the class would not know of what was made meanwhile: so they look and tell one after the
      # other, also on several processes.
      def in_turn(sitting, &) = Store::Turn.after_others(@archive.db, 'boards of a class', sitting[:id], &)

      def tell(sitting)
        staff = @archive.log.state(Core::Streams::StreamName.staff(sitting[:id])).first
        facts = { boards: board_facts(sitting), people: Core::Lessons::Audience.named(staff.boards) }
        Deciding::Perform.call(@archive.log, 'class.set_boards', facts, stream: stream(sitting))
      end

      def stream(row) = Core::Streams::StreamName.sitting(row[:id])

      def planned(sitting)
        if @archive.sittings.state(sitting[:id]).planned?
          in_turn(sitting) { Deciding::Perform.call(@archive.log, 'class.plan', @archive.sittings.plan(sitting), stream: stream(sitting)) }
        end
        sitting[:id]
      rescue Core::Refusal => e
        # Somebody opened the doors at this very moment.
        raise unless e.code == :doors_open

        sitting[:id]
      end
    end
  end
end
