# frozen_string_literal: true

require 'date'

module Veranda
  module Core
    module Calendar
      # What the clock on a wall shows, in words of ISO 8601 and without a zone: `2026-11-06T20:30`.
      module WallTime
        FORMAT = /\A(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)\z/
        YEARS = (1970..2099)

        module_function

        # @return [Boolean]
        def valid?(text)
          year, month, day, hour, minute = text.match(FORMAT)&.captures&.map(&:to_i)
          !year.nil? && YEARS.cover?(year) && Date.valid_date?(year, month, day) && hour < 24 && minute < 60
        end

        # @param text [String] that is {.valid?}
        # @return [Time] that says UTC
        def parse(text) = Time.utc(*text.scan(/\d+/))

        # @param time [Time]
        # @return [String]
        def text(time) = time.strftime('%Y-%m-%dT%H:%M')
      end
    end
  end
end
