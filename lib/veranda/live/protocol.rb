# frozen_string_literal: true

module Veranda
  module Live
    # The messages clients may send, and the contract of each. docs/protocol.md tells the rest.
    module Protocol
      VERSION = 2
      # Parts of messages that have contracts of their own, see {Glimpse} and {Core::Commands}.
      OPEN = %w[with body].freeze
      ID = /\A[\w-]{1,40}\z/
      STREAM = Core::Streams::StreamName::PATTERN
      # Boards that one may look at besides.
      BOARD = %r{\Aboard/[\w-]{1,40}\z}
      MOST_FOLLOWED = 40
      # Streams that a page may say it has seen.
      MOST_SEEN = 1_000

      CONTRACTS = {
        'hello' => Core::Contract.define do
          required(:t).filled(:string)
          required(:v).value(:integer)
          optional(:sitting).value(Core::Types::ID)
          optional(:lesson).value(Core::Types::ID)
          optional(:course).value(Core::Types::ID)
          optional(:seen).value(:hash)
          optional(:unseen).value(:bool)
        end,
        'do' => Core::Contract.define do
          required(:t).filled(:string)
          required(:id).value(Core::Types::ID)
          required(:do).filled(:string, max_size?: 40)
          required(:stream).value(:string, format?: STREAM)
          required(:with).value(:hash)
          optional(:again).value(:bool)
        end,
        'now' => Core::Contract.define do
          required(:t).filled(:string)
          required(:stream).value(:string, format?: STREAM)
          required(:kind).value(:string, included_in?: Glimpse::KINDS)
          required(:body).value(:hash)
        end,
        'follow' => Core::Contract.define do
          required(:t).filled(:string)
          required(:streams).value(:array, max_size?: MOST_FOLLOWED).each(:string, format?: BOARD)
        end,
        'stage' => Core::Contract.define do
          required(:t).filled(:string)
          required(:act).value(:string, included_in?: Stage::Studio::ACTS)
          optional(:sdp).value(:string, max_size?: Stage::Offer::LONGEST_ANSWER)
          optional(:side).value(:string, included_in?: Stage::Studio::SIDES)
          optional(:with).value(:hash)
          optional(:switch).value(:string, included_in?: Stage::Sending::SWITCHES.map(&:to_s))
          optional(:on).value(:bool)
          optional(:place).value(Core::Types::ID)
          optional(:telephone).value(:integer, included_in?: Stage::Telephone::PORTS)
          optional(:link).value(:string, included_in?: Stage::Looking::LINKS.keys)
          optional(:people).value(:array, max_size?: Stage::Feeds::MOST_PICTURES).each(Core::Types::ID)
        end,
        'ping' => Core::Contract.define { required(:t).filled(:string) },
        'bye' => Core::Contract.define { required(:t).filled(:string) }
      }.freeze

      module_function

      # @param text [String] JSON
      # @return [Hash] with symbol keys; `:with` and `:body` as they came
      # @raise [Core::Refusal] `bad_input`
      def read(text)
        facts = Core::PlainText.parse(text)
        plain_command?(facts) ? facts.transform_keys(&:to_sym) : checked(facts)
      end

      # @param text [String, nil] of a message, or only its beginning, that was not understood
      # @return [String, nil] the id it has, so that the answer can name it
      def id_of(text) = text && text.byteslice(0, 400).scrub('')[/"id"\s*:\s*"([^"\\]{1,80})"/, 1]

      def checked(facts)
        contract = facts.is_a?(Hash) && CONTRACTS[facts['t']]
        raise Core::Refusal.new(:bad_input, 'This is not a message of the live protocol.') unless contract

        open, rest = facts.partition { |key, _| OPEN.include?(key) }.map(&:to_h)
        read = Core::Contract.check(contract, rest.except('seen').merge(open.transform_values { |value| value.is_a?(Hash) ? {} : value }))
        read.merge(open.transform_keys(&:to_sym)).merge(seen: seen(facts['seen']))
      end
      private_class_method :checked

      # @return [Hash{String => Integer}] whatever else a page says it has seen, it has not
      def seen(facts)
        return {} unless facts.is_a?(Hash)

        facts.first(MOST_SEEN).select { |stream, seq| STREAM.match?(stream) && seq.is_a?(Integer) && seq.between?(0, 1 << 53) }.to_h
      end
      private_class_method :seen

      # Most messages by far are commands; whether one is well made can be seen at a glance.
      # Whatever is not goes through its contract, which says what is wrong.
      def plain_command?(facts)
        facts.is_a?(Hash) && facts['t'] == 'do' && facts['with'].is_a?(Hash) && WORDS.all? do |field, pattern|
          facts[field].is_a?(String) && pattern.match?(facts[field])
        end && (facts.length == 5 || (facts.length == 6 && [true, false].include?(facts['again'])))
      end
      private_class_method :plain_command?

      WORDS = { 'id' => ID, 'do' => /\A[a-z_.]{1,40}\z/, 'stream' => STREAM }.freeze
      private_constant :WORDS
    end
  end
end
