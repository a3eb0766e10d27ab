# frozen_string_literal: true

module Veranda
  module Preparing
    # Makes the lessons of a series, and puts them elsewhere when it is changed. It may be done again, and goes on where it was left.
    class LayingSeries
      # @param archive [Store::Archive]
      # @param course [String] id
      # @param series [String] id
      def initialize(archive, course, series)
        @archive = archive
        @course = course
        @series = series
      end

      # One at a time: whoever looked first would make a lesson that another has made meanwhile.
      def call = Store::Turn.after_others(@archive.db, 'series', @course, @series) { lay }

      private

      def lay
        series = @archive.log.state(Core::Streams::StreamName.course(@course)).first.series[@series] or return
        laying = Core::Calendar::Laying.new(series, @archive.lessons.of_series(@course, @series))
        laying.changes.each { |id, set| @archive.lessons.lay(id, **set, **time(set)) }
        laying.missing.each { |slot| make(slot, sheet(series)) }
      end

      def time(set) = set.key?(:starts_at) ? { starts_at: moment(set[:starts_at]) } : {}
      def moment(at) = Time.at(at/1000r)

      # @return [Hash, nil] the lesson that each begins with, where it is there and of this course
      def sheet(series)
        return unless series.sheet

        @sheet ||= @archive.lessons.fetch(series.sheet).then { |lesson| lesson if lesson[:course_id] == @course }
      rescue Core::Refusal
        nil
      end

      def make(slot, sheet)
        facts = { course_id: @course, starts_at: moment(slot[:at]), series: @series, slot: slot, **slot.slice(:title, :minutes) }
        sheet ? @archive.copies.lesson(sheet, **facts) : @archive.lessons.create(**facts)
      end
    end
  end
end
