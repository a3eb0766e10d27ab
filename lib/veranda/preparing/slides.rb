# frozen_string_literal: true

module Veranda
  module Preparing
    # Lays the slides of a material under a board's pages.
    module Slides
      module_function

      # @param log [Store::Log]
      # @param board [String] id
      # @param slides [Array<Hash>] `{ slide:, w:, h: }`
      # @param by [Core::Person]
      # @return [Boolean] whether anything changed
      # @raise [Core::Refusal] `board_full`
      def lay(log, board, material, version, slides, by: Deciding::Perform::HOUSE)
        input = { material: material, version: version, slides: slides.map { |slide| slide.slice(:slide, :w, :h) } }
        Deciding::Perform.call(log, 'board.lay_slides', input, stream: Core::Streams::StreamName.board(board), by: by).entries.any?
      end
    end
  end
end
