# frozen_string_literal: true

module Veranda
  module Store
    # Lays the slides of a material under a board's pages.
    module Slides
      # Slides are laid by the house itself.
      HOUSE = Core::Person.new(id: 'house', name: 'Veranda', role: 'assistant')

      module_function

      # @param archive [Archive]
      # @param board [String] id
      # @param slides [Array<Hash>] `{ slide:, w:, h: }`
      # @param by [Core::Person]
      # @return [Boolean] whether anything changed
      # @raise [Core::Refusal] `board_full`
      def lay(archive, board, material, version, slides, by: HOUSE)
        input = { 'material' => material, 'version' => version,
                  'slides' => slides.map { |slide| slide.slice(:slide, :w, :h).transform_keys(&:to_s) } }
        order = Order.of('board.lay_slides', input, stream: Core::Streams::StreamName.board(board), by: by)
        at = Process.clock_gettime(Process::CLOCK_REALTIME, :millisecond)
        outcome = Performer.new(archive.log).perform([order], at: at).first
        raise outcome.refusal if outcome.refusal

        !outcome.entry.nil?
      end
    end
  end
end
