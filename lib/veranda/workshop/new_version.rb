# frozen_string_literal: true

module Veranda
  module Workshop
    # Lays the slides of a new version under the boards that show the one before. What was drawn stays where
    # it is; recordings show what was there at the time, since boards keep their history. Boards of classes
    # that are over stay as they were taught.
    module NewVersion
      module_function

      # @param archive [Store::Archive]
      # @param id [String] of the material
      # @param version [Integer]
      # @return [Array<String>] ids of the boards that changed
      def call(archive, id, version)
        slides = archive.materials.slides(id, version).map { |slide| slide.slice(:slide, :w, :h) }
        return [] if slides.empty?

        boards(archive, id).select { |board| laid?(archive, board, id, version, slides) }
      end

      # A board that has no room for all slides of the new version keeps those of the old one.
      def laid?(archive, board, id, version, slides)
        Preparing::Slides.lay(archive.log, board, id, version, slides)
      rescue Core::Refusal => e
        raise unless e.code == :board_full

        false
      end
      private_class_method :laid?

      def boards(archive, id)
        archive.materials.boards(id).reject { |use| taught?(archive, use[:lesson_id]) }.map { |use| use[:board] }
               .select { |board| grounded?(archive, board, id) }
      end
      private_class_method :boards

      def taught?(archive, lesson_id)
        archive.sittings.of_lesson(lesson_id).any? { |row| archive.sittings.state(row[:id]).ended? }
      end
      private_class_method :taught?

      def grounded?(archive, board, id)
        state, = archive.log.state(Core::Streams::StreamName.board(board))
        state.page_facts.each_value.any? { |facts| facts.dig(:ground, :material) == id }
      end
      private_class_method :grounded?
    end
  end
end
