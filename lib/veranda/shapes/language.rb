# frozen_string_literal: true

module Veranda
  module Shapes
    # A few words to write JSON Schemas with. Objects have no fields but those named.
    module Language
      module_function

      def self.included(base) = base.extend(self)

      STRING = { type: 'string' }.freeze
      INTEGER = { type: 'integer' }.freeze
      NUMBER = { type: 'number' }.freeze
      BOOLEAN = { type: 'boolean' }.freeze
      ANYTHING = {}.freeze
      # ms since the epoch.
      MOMENT = INTEGER

      # @param fields [Hash{Symbol => Hash}] that are always there
      # @param may [Hash{Symbol => Hash}] that may be missing
      # @param about [String, nil] what it is, for whoever reads the generated type
      def object(fields, may: {}, about: nil)
        { type: 'object', description: about, properties: { **fields, **may }, required: fields.keys.map(&:to_s),
          additionalProperties: false }.compact
      end

      def list(shape) = { type: 'array', items: shape }
      def maybe(shape) = { anyOf: [shape, { type: 'null' }] }
      def by_name(shape) = { type: 'object', additionalProperties: shape }
      def either(*shapes) = { anyOf: shapes }
      def one_of(*words) = { type: 'string', enum: words.flatten.map(&:to_s) }
      def exactly(word) = { const: word }
      def shape(name) = { '$ref': "#/$defs/#{name}" }

      # Two numbers.
      def pair(about) = { type: 'array', items: about, minItems: 2, maxItems: 2, tsType: '[number, number]' }
    end
  end
end
