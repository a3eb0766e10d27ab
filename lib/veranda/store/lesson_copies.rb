# frozen_string_literal: true

module Veranda
  module Store
    # Copies lessons and boards, with what was prepared on them.
    class LessonCopies
      # @param archive [Archive]
      def initialize(archive)
        @archive = archive
        @db = archive.db
        @log = archive.log
      end

      # @param lesson [Hash]
      # @param starts_at [Time]
      # @param course_id [String] where the copy goes
      # @param more [Hash] what is other than in the lesson: `title:`, `minutes:`, and of one that recurs `series:` and `slot:`
      # @return [String] id of the copy
      def lesson(lesson, starts_at:, course_id: lesson[:course_id], **more)
        @db.transaction do
          id = @archive.lessons.create(course_id: course_id, starts_at: starts_at, **lesson.slice(:title, :minutes), **more)
          boards = @archive.lessons.boards(lesson[:id]).to_h do |row|
            [row[:id], board(row, lesson_id: id, to: course_id, from: lesson[:course_id])]
          end
          @archive.lessons.lay(id, steps: steps(lesson[:steps], boards), record_from: lesson[:record_from],
                                   **lesson.slice(:welcome, :welcome_ink, :invited_only),
                                   welcome_picture: (lesson[:welcome_picture] if course_id == lesson[:course_id]))
          id
        end
      end

      # @param row [Hash] a board
      # @param lesson_id [String] the lesson that the copy belongs to
      # @return [String] id of the copy
      def board(row, lesson_id:, name: row[:name], from: nil, to: nil)
        @db.transaction do
          id = Ids.call
          kept = row.slice(:audience, :outside, :first_page)
          # Elsewhere are other people than it names, and no room whose it is.
          kept[:audience] = 'staff' if row[:room_id] || (kept[:audience] == 'people' && from != to)
          kept[:people] = Sequel.pg_array(row[:people], :text) if kept[:audience] == 'people'
          @db[:boards].insert(id: id, lesson_id: lesson_id, name: name, material_id: from == to ? row[:material_id] : nil, **kept)
          @log.fork(stream(row[:id]), stream(id))
          uses = @db[:material_uses].where(board_id: row[:id]).select(:material_id, Sequel.as(id, :board_id))
          @db[:material_uses].insert(%i[material_id board_id], uses)
          id
        end
      end

      private

      def stream(id) = Core::Streams::StreamName.board(id)

      def steps(steps, boards)
        steps.map do |step|
          cues = (step[:cues] || []).map { |cue| Core::Lessons::Cues.on_boards(cue, boards) }
          step.merge(board: boards[step[:board]], cues: cues)
        end
      end
    end
  end
end
