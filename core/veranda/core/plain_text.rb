# frozen_string_literal: true

require 'json'

module Veranda
  module Core
    # Text that can be stored and sent on: well-formed UTF-8 without U+0000. JSON can write both a lone surrogate and U+0000 as an
    # escape, and neither PostgreSQL nor a browser's socket takes them.
    #
    #   PlainText.parse('{"text":"hi"}') #=> { "text" => "hi" }
    module PlainText
      # What in a JSON text makes it worth looking at every string of it.
      DOUBTFUL = /\\u(?:0000|[dD][89a-fA-F])/
      DEPTH = 40

      module_function

      # @param text [String] JSON
      # @return [Object] as parsed
      # @raise [Refusal] `bad_input`
      def parse(text)
        text = text.dup.force_encoding(Encoding::UTF_8) unless text.encoding == Encoding::UTF_8
        raise ill_formed unless text.valid_encoding?

        facts = JSON.parse(text, max_nesting: DEPTH)
        raise ill_formed if DOUBTFUL.match?(text) && !well_formed?(facts)

        facts
      rescue JSON::ParserError
        raise Refusal.new(:bad_input, 'This could not be read as JSON.')
      end

      # @param value [Object] as parsed from JSON or a form
      # @return [Boolean] whether every string in it can be stored
      def well_formed?(value)
        case value
        when String then value.valid_encoding? && !value.include?("\0")
        when Array then value.all? { |part| well_formed?(part) }
        when Hash then value.all? { |key, part| well_formed?(key) && well_formed?(part) }
        else true
        end
      end

      def ill_formed = Refusal.new(:bad_input, 'This holds characters that are none. Type it again.')
      private_class_method :ill_formed
    end
  end
end
