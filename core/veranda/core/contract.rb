# frozen_string_literal: true

require 'dry/schema'

module Veranda
  module Core
    # Makes the contract of a command: what its input must look like before any rule sees it.
    #
    #   contract = Contract.define { required(:text).filled(:string, max_size?: 2000) }
    #   Contract.check(contract, { 'text' => 'hello' }) #=> { text: 'hello' }
    #
    # Unknown keys are refused, so that a misspelt field is not silently dropped.
    module Contract
      MESSAGES = File.expand_path('messages.yml', __dir__)

      COMPILED = {}.compare_by_identity
      private_constant :COMPILED

      # @param parts [Array<Dry::Schema::JSON>] whose fields it has too
      # @return [Dry::Schema::JSON]
      def self.define(*parts, &block)
        Dry::Schema.JSON(parent: parts) do
          config.predicates = Types::Predicates
          config.messages.load_paths << MESSAGES
          instance_eval(&block)
        end
      end

      # @param contract [Dry::Schema::JSON]
      # @param input [Hash] as parsed from JSON
      # @return [Hash] with symbol keys
      # @raise [Refusal] `bad_input`, naming the first field that is wrong
      def self.check(contract, input)
        good = (COMPILED[contract] ||= CompiledContract.new(contract)).call(input)
        return good if good

        explain(contract, input)
      end

      # Tells what is wrong, at the pace of dry-schema.
      def self.explain(contract, input)
        raise Refusal.new(:bad_input, 'This could not be read: it is not made of named fields.') unless input.is_a?(Hash)

        unknown = UnknownKeys.find(contract.key_map, input)
        raise Refusal.new(:bad_input, "This could not be read: #{unknown.join('.')} is not allowed.") if unknown

        result = contract.call(input)
        return result.to_h if result.success?

        raise Refusal.new(:bad_input, "This could not be read: #{sentence(result.errors(full: false).to_h)}.")
      end

      private_class_method :explain

      def self.sentence(errors, path = [])
        key, value = errors.first
        case value
        when Hash then sentence(value, [*path, key])
        else [[*path, key].join('.'), *value].join(' ')
        end
      end
      private_class_method :sentence
    end
  end
end
