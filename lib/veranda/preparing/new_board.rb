# frozen_string_literal: true

module Veranda
  module Preparing
    # Makes a board in a lesson: empty, on the slides of a material, or as a copy.
    class NewBoard
      # @param archive [Store::Archive]
      # @param lesson [Hash]
      # @param by [Core::Person]
      # @param rehearsal [String, nil] id of the one in which it is made, whose it is then
      def initialize(archive, lesson, by:, rehearsal: nil)
        @archive = archive
        @lesson = lesson
        @by = by
        @of = { rehearsal_id: rehearsal }.compact
      end

      # @param name [String]
      # @param material [String, nil] id
      # @param copy_of [String, nil] id of another board of a course that the person teaches
      # @return [Hash] the board
      # @raise [Core::Refusal] `material_not_ready`, `no_such_board`, `no_such_material`
      def call(name:, material: nil, copy_of: nil)
        name = Core::Name.clean(name)
        id = if copy_of then copy(copy_of, name)
             elsif material then on_slides(material, name)
             else @archive.lessons.add_board(@lesson[:id], name: name, **@of)
             end
        @archive.lessons.board(id)
      end

      private

      def copy(id, name)
        row = @archive.lessons.board(id)
        course = @archive.lessons.fetch(row[:lesson_id])[:course_id]
        unless Core::Person::STAFF.include?(@archive.people.courses(@by.id)[course])
          raise Core::Refusal.new(:no_such_board, 'There is no such board.')
        end

        @archive.copies.board(row, lesson_id: @lesson[:id], name: name, from: course, to: @lesson[:course_id])
      end

      def on_slides(id, name)
        material = @archive.materials.fetch(id)
        if material[:course_id] != @lesson[:course_id]
          raise Core::Refusal.new(:no_such_material,
                                  'There is no such material on this shelf.')
        end

        slides = @archive.materials.slides(id, material[:version])
        if slides.empty? || material[:state] != 'ready'
          raise Core::Refusal.new(:material_not_ready, 'This material has no slides to draw on yet. Try again when it is ready.')
        end

        @archive.db.transaction do
          board = @archive.lessons.add_board(@lesson[:id], name: name, material_id: id, **@of)
          Slides.lay(@archive.log, board, id, material[:version], slides, by: @by)
          first = @archive.log.state(Core::Streams::StreamName.board(board)).first.pages[material[:first_slide] - 1]
          @archive.lessons.update_board(board, first_page: first) if first
          board
        end
      end
    end
  end
end
