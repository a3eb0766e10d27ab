# frozen_string_literal: true

module Veranda
  module Preparing
    # Who has been heard in a class since its doors opened, or in all classes of its course; whoever was heard least first, and how evenly
    # that is spread.
    class WhoWasHeard
      # @param archive [Store::Archive]
      # @param sitting_id [String]
      def initialize(archive, sitting_id)
        @archive = archive
        @id = sitting_id
        @sitting = archive.log.state(names.sitting(sitting_id)).first
      end

      # @param place [String]
      # @param course [Boolean] whether all classes of the course count
      # @return [Hash] `{ people:, gini: }`, see {Core::Insights::Heard}
      # @raise [Core::Refusal] `no_such_place`
      def call(place, course: false)
        raise Core::Refusal.new(:no_such_place, 'There is no such room in this class.') unless @sitting.place?(place)

        tallies = course ? count(of_course, from: 0) : count(of_class, from: @sitting.opened_at || 0)
        heard = Core::Insights::Heard.new(@sitting, place, tallies)
        { people: heard.rows, gini: heard.gini }
      end

      private

      def names = Core::Streams::StreamName

      def of_class
        staff = @archive.log.state(names.staff(@id)).first
        in_rooms = staff.activities.to_a.flat_map { |activity| activity[:rooms].flat_map { |room| room[:boards] } }
        boards = [*(@sitting.boards + in_rooms).map { |board| board[:id] }, *staff.copies.keys].map { |board| names.board(board) }
        # Also what they did in rooms; and answers with names: of others nobody knows whose they are.
        %w[place exchange answers].flat_map { |kind| @archive.log.parts_of(kind, @id) } + boards
      end

      def of_course
        lesson = @archive.lessons.fetch(@archive.sittings.fetch(@id)[:lesson_id])
        @archive.sittings.streams_of_course(lesson[:course_id])
      end

      def count(streams, from:)
        @archive.log.tallies(streams, Core::Insights::Heard::KINDS.keys, from: from, spell: Core::Insights::Heard::SPELL)
      end
    end
  end
end
