# frozen_string_literal: true

require 'json'
require 'json_schemer'

module Veranda
  module Shapes
    # Shapes as one document of JSON Schema that facts are held against: each worked out by itself would work out anew all that it may
    # refer to.
    class Document
      # @param parts [Hash{String => Hash}] shapes beside those that have names of their own, by what they are called here
      def initialize(parts)
        @schema = JSONSchemer.schema(JSON.parse(JSON.generate({ '$defs': { **Shapes.all, **parts } })))
      end

      # @param name [String, Symbol] of a shape
      # @param facts [Object] as they come from JSON
      # @return [String, nil] what is wrong with them
      def fault(name, facts) = @schema.ref("#/$defs/#{name}").validate(facts).first&.fetch('error')
    end
  end
end
