# frozen_string_literal: true

module Veranda
  module Store
    # Who was paired with whom in the classes of a course, as their staff streams tell it.
    class Pairings
      # Draws that are looked back at.
      MOST = 500

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
      end

      # @param course_id [String]
      # @return [Array<Array<Array<String>>>] groups of each draw, newest first; without those of rehearsals
      def of_course(course_id)
        rows = @db[:entries].join(:sittings, Sequel.join(['staff/', Sequel[:sittings][:id]]) => Sequel[:entries][:stream])
                            .join(:lessons, id: Sequel[:sittings][:lesson_id])
                            .where(kind: 'paired', course_id: course_id, rehearsal: false).reverse(:at).limit(MOST)
        rows.select_map(Sequel.cast(:body, String)).map { |body| JSON.parse(body)['pairs'].map { |pair| pair['people'] } }
      end
    end
  end
end
