# frozen_string_literal: true

module Veranda
  module Http
    # Gathers what readiness looks at: the boards of a lesson, the materials on them, and who is expected.
    class Preparation
      # @param archive [Store::Archive]
      def initialize(archive)
        @archive = archive
        @tones = {}
      end

      # @param lesson [Hash]
      # @param now [Integer] ms since the epoch
      # @return [Array<Hash>] see {Core::Lessons::Readiness.of}
      def findings(lesson, now:)
        rows = @archive.lessons.boards(lesson[:id])
        boards = rows.to_h { |row| [row[:id], @archive.log.state(Core::Streams::StreamName.board(row[:id])).first] }
        names = rows.to_h { |row| row.values_at(:id, :name) }
        facts = lesson.merge(starts_at: (lesson[:starts_at].to_f * 1000).round)
        Core::Lessons::Readiness.of(facts, now: now, boards: boards, names: names, materials: materials(lesson, rows),
                                           tones: method(:tones), people: @archive.people.expected(lesson[:course_id]))
      end

      private

      def materials(lesson, rows)
        used = @archive.db[:material_uses].where(board_id: rows.map { |row| row[:id] }).select_map(:material_id)
        @archive.materials.find_all(used | lesson[:steps].filter_map { |step| step[:material] })
      end

      def tones(*slide)
        @tones.fetch(slide) do
          colours = @archive.materials.slide(*slide)[:tones].to_a
          @tones[slide] = { across: Workshop::Pdf::ACROSS, colours: colours }
        end
      rescue Core::Refusal
        nil
      end
    end
  end
end
