# frozen_string_literal: true

module Veranda
  module Live
    # The messages clients may send, and the contract of each. docs/protocol.md tells the rest.
    module Protocol
      VERSION = 1
      # Parts of messages that have contracts of their own.
      OPEN = %w[with body seen].freeze
      STREAM = %r{\A[a-z]+/[\w-]{1,40}\z}

      CONTRACTS = {
        'hello' => Core::Contract.define do
          required(:t).filled(:string)
          required(:v).value(:integer)
          optional(:sitting).value(Core::Types::ID)
          optional(:lesson).value(Core::Types::ID)
          optional(:seen).value(:hash)
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
          required(:kind).value(:string, included_in?: %w[pointer ink typing])
          required(:body).value(:hash)
        end,
        'ping' => Core::Contract.define { required(:t).filled(:string) },
        'bye' => Core::Contract.define { required(:t).filled(:string) }
      }.freeze

      module_function

      # @param text [String] JSON
      # @return [Hash] with symbol keys; `:with`, `:body` and `:seen` as they came
      # @raise [Core::Refusal] `bad_input`, `old_version`
      def read(text)
        facts = JSON.parse(text)
        plain_command?(facts) ? facts.transform_keys(&:to_sym) : checked(facts)
      rescue JSON::ParserError
        raise Core::Refusal.new(:bad_input, 'This message could not be read as JSON.')
      end

      def checked(facts)
        contract = facts.is_a?(Hash) && CONTRACTS[facts['t']]
        raise Core::Refusal.new(:bad_input, 'This is not a message of the live protocol.') unless contract

        open, rest = facts.partition { |key, _| OPEN.include?(key) }.map(&:to_h)
        Core::Contract.check(contract, rest.merge(open.transform_values { |value| value.is_a?(Hash) ? {} : value }))
                      .merge(open.transform_keys(&:to_sym))
      end
      private_class_method :checked

      # Most messages by far are commands; whether one is well made can be seen at a glance.
      # Whatever is not goes through its contract, which says what is wrong.
      def plain_command?(facts)
        facts.is_a?(Hash) && facts['t'] == 'do' && facts['with'].is_a?(Hash) && WORDS.all? do |field, pattern|
          facts[field].is_a?(String) && pattern.match?(facts[field])
        end && (facts.length == 5 || (facts.length == 6 && [true, false].include?(facts['again'])))
      end
      private_class_method :plain_command?

      WORDS = { 'id' => /\A[\w-]{1,40}\z/, 'do' => /\A[a-z_.]{1,40}\z/, 'stream' => STREAM }.freeze
      private_constant :WORDS
    end
  end
end
