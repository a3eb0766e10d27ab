# frozen_string_literal: true

module Veranda
  module Shapes
    # What is on a board.
    module Marks
      include Language

      CONTRACT = Core::Boards::MarkContract

      # A mark in an `edited` entry: fresh ones get author, time and place from the entry, those brought back keep theirs.
      def self.put(kept) = kept.merge(required: kept[:required].map(&:to_s) - %w[by at z], description: nil).compact

      KEPT = Commands.of(CONTRACT::KEPT).then do |mark|
        mark.merge(description: 'Anything on a board page: as put, with author, time (ms since the epoch) and place in the pile.',
                   properties: mark[:properties].merge(shows: Language.shape(:Shows)))
      end

      ALL = {
        Mark: KEPT,
        MarkPut: put(KEPT),
        Shows: Commands.of(Core::Props::SHOWS).merge(description: 'What a prop shows; which of these, depends on the prop.'),
        Ground: Commands.of(CONTRACT::GROUND).merge(description: 'The slide that a page is drawn on; `w` and `h` are its proportions.'),
        PageRow: object({ page: STRING }, may: { ground: shape(:Ground), grows: BOOLEAN, locked: BOOLEAN }),
        Author: object({ id: STRING, name: STRING }),
        Op: either(object({ op: exactly('put'), mark: shape(:MarkPut) }),
                   object({ op: exactly('change'), id: STRING, set: by_name(ANYTHING) }),
                   object({ op: exactly('remove'), id: STRING }))
      }.freeze
    end
  end
end
