# frozen_string_literal: true

module Veranda
  module Core
    # Something a person asks to be done. A subclass says in one file what the command is called, on which
    # kind of stream it is given, which others it writes to or looks at, what its input looks like and which rules it obeys:
    #
    #   class FireCue < SittingCommand
    #     on :staff, 'class.cue'
    #     touches :sitting, :main
    #     contract { required(:cue).value(Types::ID) }
    #
    #     def decide
    #       staff!('Only instructors and assistants fire cues.')
    #       [entry('cued', { cue: input[:cue] }), entry('recording', { on: true }, on: :sitting)]
    #     end
    #   end
    #
    # `decide` reads state and changes nothing. It answers with the entries to append, with nil or none when things
    # already are as asked, or raises {Refusal}. Entries go to the home stream or to streams that were declared.
    class Command
      class << self
        # @return [Symbol] the kind of stream the command is given on
        attr_reader :stream_kind
        # @return [String] the name by which clients ask for it
        attr_reader :wire_name

        # @param stream_kind [Symbol] see {Streams::StreamName}
        # @param wire_name [String]
        def on(stream_kind, wire_name)
          @stream_kind = stream_kind
          @wire_name = wire_name
        end

        # Declares streams that the command may write to besides its home, see {Streams::Concern}.
        # @param roles [Array<Symbol>]
        # @yieldparam concern [Streams::Concern]
        # @yieldreturn [Array<String>] names of further streams, from the input
        def touches(*roles, &more) = declare(:touched, roles, more)

        # As {touches}, for streams that may not be there yet.
        def begins(*roles, &more) = declare(:begun, roles, more)

        # Declares streams that the command reads and does not write to.
        def looks_at(*roles, &more) = declare(:seen, roles, more)

        # @param concern [Streams::Concern]
        # @return [Array<String>] streams that it may write to, its home among them
        def writes(concern) = concern.names(@writes ||= [:home, *declared(:touched), *declared(:begun)])

        # @return [Array<String>] those of them that it may begin
        def begins_of(concern) = concern.names(@begins_of ||= declared(:begun))

        # @return [Array<String>] streams that it only looks at
        def reads(concern) = concern.names(@reads ||= declared(:seen)) - writes(concern)

        # Sets (with a block) or gives the contract of the input.
        # @return [Dry::Schema::JSON]
        def contract(&block)
          @contract = Contract.define(&block) if block
          @contract ||= superclass.respond_to?(:contract) ? superclass.contract : Contract.define { nil }
        end

        # @return [Array<Symbol, Proc>]
        def declared(what)
          inherited = superclass.respond_to?(:declared) ? superclass.declared(what) : []
          inherited + ((@declared || {})[what] || [])
        end

        private

        def declare(what, roles, more)
          @declared ||= Hash.new { |hash, key| hash[key] = [] }
          @declared[what] += [*roles, more].compact
        end
      end

      # @param input [Hash] checked against the contract
      # @param scene [Scene] states, person, time and chance
      def initialize(input, scene)
        @input = input
        @scene = scene
      end

      # @return [Array<Streams::Draft>, Streams::Draft, nil] the entries to append
      # @raise [Refusal]
      def decide
        raise NotImplementedError, self.class.name
      end

      private

      attr_reader :input, :scene

      def state = scene.state
      def by = scene.by
      def sitting = scene.sitting
      def place = scene.place
      def plan = scene.staff

      # @param on [Symbol, String] the stream, see {Streams::Concern#name}
      # @return [Streams::Draft]
      def entry(kind, body = {}, on: :home) = Streams::Draft.new(scene.name(on), kind, body)

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
