# frozen_string_literal: true

module Veranda
  module Core
    module Materials
      # How much of anything is taken.
      module Limits
        MEGABYTE = 1024 * 1024
        # A larger file is not taken; one over {LARGE} is, with a warning.
        MOST_BYTES = 512 * MEGABYTE
        LARGE = 25 * MEGABYTE
        MOST_SLIDES = 300
        MANY_SLIDES = 200
        # Points of a picture, width times height.
        MOST_POINTS = 100_000_000
        # What a zip may unpack to.
        MOST_UNPACKED = 1024 * MEGABYTE
        MOST_ENTRIES = 10_000

        module_function

        # @raise [Refusal] `file_empty`, `file_too_large`
        def check_size!(name, size)
          raise Refusal.new(:file_empty, "“#{name}” is empty. Nothing was uploaded.") unless size.positive?
          return if size <= MOST_BYTES

          raise Refusal.new(:file_too_large,
                            "“#{name}” has #{size / MEGABYTE} MB; the shelf takes up to #{MOST_BYTES / MEGABYTE} MB. " \
                            'Make it smaller or split it.')
        end
      end
    end
  end
end
