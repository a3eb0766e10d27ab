# frozen_string_literal: true

module Veranda
  module Store
    # All that was written in a class and that somebody who teaches it may save.
    class Written
      # @param archive [Archive]
      def initialize(archive)
        @archive = archive
      end

      # What was written to everyone; and where the course says so, what all staff read of the rest. What a few people wrote to one another
      # without staff is nobody's to save.
      # @param sitting [Core::Sittings::Sitting]
      # @param course_id [String]
      # @return [Array<Hash>] `{ posts:, people:, staff: }`, see {Core::Exchange::Transcript}
      def of(sitting, course_id)
        places = sitting.places.reject { |place| place[:activity] }
        open = places.map { |place| { posts: state(names.exchange(sitting.id, place[:id])).posts.values } } + rooms(sitting)
        return open unless @archive.course(course_id)[:private_in_transcripts]

        threads = state(names.staff(sitting.id)).threads.map { |row| state(names.thread(sitting.id, row[:id])) }
        open + threads.map { |thread| { posts: thread.posts.values, people: thread.people, staff: thread.staff } }
      end

      private

      # Of every activity, under the names that rooms had.
      def rooms(sitting)
        Core::Access.written_rooms(sitting, state(names.staff(sitting.id))).map do |room|
          { posts: state(names.exchange(sitting.id, room[:id])).posts.values, room: room[:name] }
        end
      end

      def names = Core::Streams::StreamName
      def state(stream) = @archive.log.state(stream).first
    end
  end
end
