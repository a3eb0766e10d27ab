# frozen_string_literal: true

module Veranda
  module Live
    # Something passing that is not kept: where a pointer is, a piece of ink that is still wet, that somebody types. Every page that
    # is told draws it, so what it may hold is checked here as strictly as a mark, by hand because there are so many.
    #
    #   Glimpse.check('pointer', { 'page' => 'p1', 'x' => 4, 'y' => 5 }) #=> the same
    module Glimpse
      # Each kind with the right that it takes, see {Core::Rights}; what part of a page one sees is glimpsed of whoever leads a place.
      RIGHTS = { 'pointer' => :draw, 'ink' => :draw, 'typing' => :post, 'view' => :lead }.freeze
      KINDS = RIGHTS.keys.freeze
      # Numbers in one piece of ink, and in all of a stroke.
      MOST_NUMBERS = 600
      LONGEST = Core::Boards::MarkContract::MAX_NUMBERS

      ID = ->(value) { value.is_a?(String) && Protocol::ID.match?(value) }
      COORDINATE = ->(value) { Core::Types::Predicates.coordinate?(value) }
      INK = {
        'id' => ID, 'page' => ID, 'x' => COORDINATE, 'y' => COORDINATE,
        'kind' => ->(value) { Core::Boards::Mark::FREEHAND.include?(value) },
        'ink' => ->(value) { Core::Boards::Inks::NAMES.include?(value) },
        'width' => ->(value) { Core::Types::Predicates.pen_width?(value) },
        'from' => ->(value) { value.is_a?(Integer) && value.even? && value.between?(0, LONGEST) },
        'points' => lambda do |value|
          value.is_a?(Array) && value.length.between?(2, MOST_NUMBERS) && Core::Types::Predicates.points?(value)
        end
      }.freeze
      # The end of a stroke that was given up names it and nothing else.
      END_OF_INK = { 'id' => ID, 'page' => ID, 'end' => ->(value) { value == true } }.freeze
      # How much of a page one sees, in px: more than any page has, where it is drawn small.
      EXTENT = ->(value) { value.is_a?(Numeric) && value.finite? && value.between?(1, 4 * Core::Types::REACH) }
      VIEW = { 'board' => ID, 'page' => ID, 'x' => COORDINATE, 'y' => COORDINATE, 'w' => EXTENT, 'h' => EXTENT }.freeze
      # Whoever leads looks at something that others cannot see.
      ELSEWHERE = { 'elsewhere' => ->(value) { value == true } }.freeze
      FIELDS = { 'pointer' => [{ 'page' => ID, 'x' => COORDINATE, 'y' => COORDINATE }], 'ink' => [INK, END_OF_INK],
                 'typing' => [{}], 'view' => [VIEW, ELSEWHERE] }.freeze
      private_constant :ID, :COORDINATE, :INK, :END_OF_INK, :EXTENT, :VIEW, :ELSEWHERE, :FIELDS

      module_function

      # @param kind [String] one of {KINDS}
      # @param body [Hash] as it came
      # @return [Hash] the same
      # @raise [Core::Refusal] `bad_input`
      def check(kind, body)
        return body if FIELDS.fetch(kind).any? { |fields| fits?(fields, body) }

        raise Core::Refusal.new(:bad_input, "This is no glimpse of kind #{kind}.")
      end

      def fits?(fields, body)
        body.length == fields.length && fields.all? { |name, test| test.call(body[name]) }
      end
      private_class_method :fits?
    end
  end
end
