# frozen_string_literal: true

require 'console'

module Veranda
  # Writes down what went wrong, and never goes wrong itself: whoever complains is in the middle of keeping
  # something else alive.
  module Complaint
    module_function

    # @param subject [Object] whoever complains
    # @param words [String]
    # @param error [Exception]
    def of(subject, words, error)
      Console.error(subject, words, error)
    rescue StandardError
      warn "#{subject.class}: #{words}: #{error.class}\n#{error.backtrace&.first(8)&.join("\n")}"
    end
  end
end
