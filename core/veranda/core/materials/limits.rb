# frozen_string_literal: true

module Veranda
  module Core
    module Materials
      # How much of anything is taken.
      module Limits
        MEGABYTE = 1024 * 1024
        # A larger file is not taken.
        MOST_BYTES = 512 * MEGABYTE
        # A weak connection brings 10 Mbit/s, in bytes; what takes it over 30 s is told.
        WEAK_BYTES_PER_SECOND = 1_250_000
        LONGEST_WAIT = 30
        LARGE = WEAK_BYTES_PER_SECOND * LONGEST_WAIT
        MOST_SLIDES = 300
        MANY_SLIDES = 200
        # Points of a picture, width times height.
        MOST_POINTS = 100_000_000
        # What a zip may unpack to.
        MOST_UNPACKED = 1024 * MEGABYTE
        MOST_ENTRIES = 10_000
        # Bytes of a recording's zip, packed or not: an hour of a few cameras is some hundreds of megabytes.
        MOST_RECORDED = 8 * 1024 * MEGABYTE
        # On a list; of a larger shelf one finds the rest by searching.
        MOST_LISTED = 500

        module_function

        # @raise [Refusal] `file_empty`, `file_too_large`
        def check_size!(name, size, most: MOST_BYTES)
          raise Refusal.new(:file_empty, "“#{name}” is empty. Nothing was uploaded.") unless size.positive?
          return if size <= most

          raise Refusal.new(:file_too_large,
                            "“#{name}” has #{size / MEGABYTE} MB; the shelf takes up to #{most / MEGABYTE} MB. " \
                            'Make it smaller or split it.')
        end
      end
    end
  end
end
