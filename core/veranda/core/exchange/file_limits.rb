# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # How much may be posted as files.
      module FileLimits
        MEGABYTE = 1024 * 1024
        # Bytes of one file, and of all that one person posts in a day.
        FILE = 25 * MEGABYTE
        DAY = 200 * MEGABYTE

        module_function

        # @param size [Integer] bytes of the file
        # @param posted [Integer] bytes that the person has posted within a day
        # @raise [Refusal] `file_too_large`, `too_much_today`
        def check!(size, posted)
          if size > FILE
            raise Refusal.new(:file_too_large,
                              "A file in the exchange has up to #{FILE / MEGABYTE} MB. Make it smaller, or give a link to it.")
          end
          return if posted + size <= DAY

          raise Refusal.new(:too_much_today,
                            "You have posted files of #{DAY / MEGABYTE} MB today, which is all for a day. Give a link to it.")
        end
      end
    end
  end
end
