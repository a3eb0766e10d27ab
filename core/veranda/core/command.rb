# frozen_string_literal: true

module Veranda
  module Core
    # Something a person asks to be done on one stream. A subclass says in one file
    # what the command is called, what its input looks like and which rules it obeys:
    #
    #   class WritePost < Command
    #     on :exchange, 'exchange.post'
    #     contract { required(:text).filled(:string) }
    #
    #     def decide
    #       may! :post
    #       ['posted', { text: input[:text] }]
    #     end
    #   end
    #
    # `decide` reads state and changes nothing. It answers with the kind and body of the
    # one entry to append, with nil when things already are as asked, or raises {Refusal}.
    class Command
      class << self
        # @return [Symbol] the kind of stream the command belongs to
        attr_reader :stream_kind
        # @return [String] the name by which clients ask for it
        attr_reader :wire_name

        # @param stream_kind [Symbol] `:board`, `:sitting` or `:exchange`
        # @param wire_name [String]
        def on(stream_kind, wire_name)
          @stream_kind = stream_kind
          @wire_name = wire_name
        end

        # Sets (with a block) or gives the contract of the input.
        # @return [Dry::Schema::JSON]
        def contract(&block)
          @contract = Contract.define(&block) if block
          @contract ||= Contract.define { nil }
        end
      end

      # @param input [Hash] checked against the contract
      # @param scene [Scene] state, person, time and chance
      def initialize(input, scene)
        @input = input
        @scene = scene
      end

      # @return [Array(String, Hash), nil] kind and body of the entry
      # @raise [Refusal]
      def decide
        raise NotImplementedError, self.class.name
      end

      private

      attr_reader :input, :scene

      def state = scene.state
      def by = scene.by

      # @param right [Symbol] one of {Rights::RIGHTS}
      def may!(right)
        answer = scene.right(right)
        raise Refusal.new(answer.code, answer.says) unless answer.allowed?
      end

      def staff!(says)
        raise Refusal.new(:staff_only, says) unless by.staff?
      end
    end
  end
end
