# frozen_string_literal: true

module Veranda
  module Core
    # A cell of a CSV file that people open in a spreadsheet.
    module Cell
      # What a spreadsheet takes for the beginning of a formula (OWASP, CSV Injection).
      FORMULA = /\A[=+\-@\t\r]/

      # @param text [String]
      # @return [String] the same, taken for a formula by no spreadsheet
      def self.plain(text) = text.match?(FORMULA) ? "'#{text}" : text
    end
  end
end
