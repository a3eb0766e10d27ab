# frozen_string_literal: true

module Veranda
  module Preparing
    # A board that a student makes in a class and owns: for themselves and for staff, until staff open it to others.
    class OwnBoard
      # @param archive [Store::Archive]
      # @param sitting_id [String]
      # @param by [Core::Person]
      def initialize(archive, sitting_id, by:)
        @archive = archive
        @sitting = archive.sittings.fetch(sitting_id)
        @by = by
      end

      # @param name [String]
      # @return [Hash] the board
      # @raise [Core::Refusal] `not_here`, `may_not_add`, `too_many_boards`
      def call(name:)
        may!
        rehearsal = (@sitting[:id] if @sitting[:rehearsal])
        id = @archive.lessons.add_own(@sitting[:lesson_id], @by.id, name: Core::Name.clean(name), rehearsal_id: rehearsal)
        Classes.new(@archive).boards_changed(@sitting[:lesson_id], rehearsal: rehearsal)
        @archive.lessons.board(id)
      end

      private

      def may!
        names = Core::Streams::StreamName
        sitting = state(names.sitting(@sitting[:id]))
        raise Core::Refusal.new(:not_here, 'You are not in this class.') unless sitting.in?(@by.id)

        place = state(names.place(@sitting[:id], sitting.seats[@by.id].place))
        answer = Core::Rights::Ask.call(:add, by: @by, sitting: sitting, place: place)
        raise Core::Refusal.new(answer.code, answer.says) unless answer.allowed?
      end

      def state(stream) = @archive.log.state(stream).first
    end
  end
end
