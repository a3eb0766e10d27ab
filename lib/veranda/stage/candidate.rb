# frozen_string_literal: true

module Veranda
  module Stage
    # A way on which a browser says it can be reached (RFC 8839), or that it knows of no more.
    module Candidate
      # Letters.
      LONGEST = 400
      FORM = /\A(candidate:)?[\x20-\x7e]*\z/

      # What each field may hold; of the rest nothing is passed on.
      FIELDS = {
        'candidate' => ->(value) { value.is_a?(String) && value.length <= LONGEST && FORM.match?(value) },
        'sdpMid' => ->(value) { value.is_a?(String) && value.match?(/\A\w{1,8}\z/) },
        'sdpMLineIndex' => ->(value) { value.is_a?(Integer) && value.between?(0, 200) }
      }.freeze
      private_constant :FIELDS

      module_function

      # @param facts [Hash, nil] as a browser has it, with string keys; nil at the end
      # @return [Hash] as the media server takes it
      # @raise [Core::Refusal] `bad_input`
      def check(facts)
        return { completed: true } if facts.nil? || facts['candidate'].to_s.empty?

        found = FIELDS.keys.to_h { |name| [name.to_sym, facts[name]] }.compact
        raise Core::Refusal.new(:bad_input, 'This is no candidate.') unless found.all? { |name, value| FIELDS[name.to_s].call(value) }

        found
      end
    end
  end
end
