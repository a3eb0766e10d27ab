# frozen_string_literal: true

module Veranda
  # For what holds half of the process, or a secret: asked what it is, it says only that. Ruby asks whenever somebody calls what is not
  # there (the message of a NoMethodError has all that an object holds in it), and would work on the answer for minutes.
  module Terse
    # @return [String]
    def inspect = "#<#{self.class.name}>"
  end
end
