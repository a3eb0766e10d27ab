# frozen_string_literal: true

module Veranda
  module Preparing
    # Makes a lesson's class ready to be entered: set up, and planned as the lesson stands now.
    class Classes
      # How often a class is told of its boards at once, while others make some more. Whoever tells last looks once more.
      TRIES = 10

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

      # Tells the classes of a lesson that are not over what its boards are now.
      # @param lesson_id [String]
      def boards_changed(lesson_id)
        @archive.sittings.of_lesson(lesson_id).each { |row| boards_changed_in(row) }
      end

      # Whoever looked first could tell last, and the class would not know of what was made meanwhile: so it is told until that stands.
      # @param sitting [Hash] `{ id:, lesson_id:, rehearsal: }`
      def boards_changed_in(sitting)
        return if @archive.sittings.state(sitting[:id]).ended?

        boards = board_facts(sitting)
        TRIES.times do
          tell(sitting, boards)
          told, boards = boards, board_facts(sitting)
          break if told == boards
        end
      end

      private

      def board_facts(sitting)
        @archive.sittings.board_facts(sitting[:lesson_id], rehearsal_id: (sitting[:id] if sitting[:rehearsal]))
      end

      def tell(sitting, boards)
        staff = @archive.log.state(Core::Streams::StreamName.staff(sitting[:id])).first
        Deciding::Perform.call(@archive.log, 'class.set_boards', { boards: boards, people: Core::Lessons::Audience.named(staff.boards) },
                               stream: stream(sitting))
      end

      def stream(row) = Core::Streams::StreamName.sitting(row[:id])

      def planned(sitting)
        if @archive.sittings.state(sitting[:id]).planned?
          Deciding::Perform.call(@archive.log, 'class.plan', @archive.sittings.plan(sitting), stream: stream(sitting))
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
