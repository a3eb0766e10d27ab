# frozen_string_literal: true

module Veranda
  module Core
    # A command that a rule does not allow, or that makes no sense as it stands.
    #
    #   raise Refusal.new(:may_not_draw, 'Only the instructor draws now.')
    #
    # `code` is for programs and never changes once published in docs/protocol.md;
    # the message is a sentence that the person concerned can act on.
    class Refusal < StandardError
      # @return [Symbol]
      attr_reader :code

      # @param code [Symbol]
      # @param says [String] one sentence, ending in a full stop
      def initialize(code, says)
        @code = code
        super(says)
      end

      alias says message
    end
  end
end
