# frozen_string_literal: true

module Veranda
  module Core
    module Rights
      # Whether someone has a right, with the reason in a code and a sentence to them.
      #
      # `from` tells staff what decided it: `:staff`, `:floor`, `:exception`, `:step` (a rule that a step has brought), `:rule` (for
      # all), `:class` (closed doors, or the end), `:outside`, `:own` (it is their copy).
      Answer = Struct.new(:allowed, :code, :says, :from, keyword_init: true) do
        alias_method :allowed?, :allowed

        def self.yes(from) = new(allowed: true, code: from, says: nil, from: from)
        def self.no(code, says, from) = new(allowed: false, code: code, says: says, from: from)

        # @return [Hash] what the person is told
        def to_h = { allowed: allowed, code: code, says: says }
      end
    end
  end
end
