# frozen_string_literal: true

module Veranda
  module Preparing
    # Whether somebody may bring a file to a class, to be posted there.
    class Posting
      DAY = 86_400

      # @param archive [Store::Archive]
      # @param sitting_id [String]
      # @param by [Core::Person]
      def initialize(archive, sitting_id, by:)
        @archive = archive
        @sitting_id = sitting_id
        @by = by
      end

      # @param size [Integer] bytes
      # @raise [Core::Refusal] `not_here`, `may_not_bring`, `file_too_large`, `too_much_today`
      def check!(size)
        sitting = state(names.sitting(@sitting_id))
        raise Core::Refusal.new(:not_here, 'You are not in this class.') unless @by.staff? || sitting.in?(@by.id)

        place = state(names.place(@sitting_id, sitting.seats[@by.id]&.place || Core::Sittings::Places::MAIN))
        answer = Core::Rights::Ask.call(:bring, by: @by, sitting: sitting, place: place)
        raise Core::Refusal.new(answer.code, answer.says) unless answer.allowed?

        Core::Exchange::FileLimits.check!(size, @archive.materials.posted_bytes(@by.id, since: Time.now - DAY))
      end

      private

      def names = Core::Streams::StreamName
      def state(stream) = @archive.log.state(stream).first
    end
  end
end
