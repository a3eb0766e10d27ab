# frozen_string_literal: true

require 'dry/schema'

module Veranda
  module Shapes
    # The inputs of all commands that clients may give, from the contracts of the core.
    module Commands
      Dry::Schema.load_extensions(:json_schema)

      # dry-schema cannot say what is in an array that it checks as a whole.
      NUMBERS = %i[points path press weights].to_h { |name| [name, { type: 'array', items: { type: 'number' } }] }.freeze

      ANYTHING = %i[value].freeze

      module_function

      # @return [Hash{String => Hash}] JSON Schemas by the name on the wire
      def to_h
        (Core::Commands::ALL - Core::Commands::INTERNAL).to_h { |command| [command.wire_name, of(command.contract)] }
      end

      # @param contract [Dry::Schema::Processor]
      # @return [Hash] JSON Schema
      def of(contract) = tidy(contract.json_schema(loose: true))

      # Numbers of any kind are plain numbers to JSON, and nothing beyond the contract is let in.
      def tidy(schema)
        return schema.map { |part| tidy(part) } if schema.is_a?(Array)
        return schema unless schema.is_a?(Hash)

        schema = schema.except(:$schema, :not).transform_values { |part| tidy(part) }
        return schema unless schema[:properties]

        schema.merge(additionalProperties: false, properties: schema[:properties].to_h { |name, part| [name, typed(name, part)] })
      end
      private_class_method :tidy

      # Neither Types::Number nor Types::Anything has a type of its own in the schema. What may be anything is an answer to a poll.
      def typed(name, part)
        return part.except(:not) if part.empty? && ANYTHING.include?(name)
        return { type: 'number' } if part.empty?

        part[:type] == 'array' ? NUMBERS[name] || part : part
      end
      private_class_method :typed
    end
  end
end
