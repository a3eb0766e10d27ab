# frozen_string_literal: true

module Veranda
  module Core
    module Boards
      # What a mark is made of. A mark is a frozen Hash with symbol keys, because it is
      # written, sent and read as JSON far more often than anything is asked of it:
      #
      #   { id:, page:, kind:, x:, y:, z:, by:, at:, ink:, … }
      #
      # `x`, `y` are px on a {PAGE_WIDTH}-wide page; `z` orders marks from bottom to top;
      # `by` and `at` name the author and time and are given by the server alone.
      # Drawn kinds carry `points`, flat pairs relative to `x`, `y`; boxed kinds carry `w`, `h`.
      module Mark
        PAGE_WIDTH = 1600
        PAGE_HEIGHT = 1000

        DRAWN = %w[stroke highlight line arrow].freeze
        FREEHAND = %w[stroke highlight].freeze
        BOXED = %w[rectangle ellipse].freeze
        WRITTEN = %w[text note].freeze
        KINDS = (DRAWN + BOXED + WRITTEN).freeze

        # What a person may change on a mark after it was put.
        CHANGEABLE = %i[x y w h points ink width text size locked fill page].freeze

        REQUIRED = {
          **DRAWN.to_h { |kind| [kind, %i[points width]] },
          **BOXED.to_h { |kind| [kind, %i[w h width]] },
          **WRITTEN.to_h { |kind| [kind, %i[text size w]] }
        }.freeze

        module_function

        # @param mark [Hash]
        # @raise [Refusal] `mark_incomplete`
        def check!(mark)
          missing = REQUIRED.fetch(mark[:kind]).find { |field| mark[field].nil? }
          return unless missing

          raise Refusal.new(:mark_incomplete, "A #{mark[:kind]} needs its #{missing}. Nothing was put on the board.")
        end

        # Control characters cannot be written as XML and mean nothing on a board.
        # @param fields [Hash] a mark or a set of changes to one
        # @return [Hash]
        def tidy(fields)
          return fields unless fields[:text]

          fields.merge(text: fields[:text].gsub(/\r\n?/, "\n").tr("\t", ' ').gsub(/[^\n\P{Cc}]|[\uFFFE\uFFFF]/, ''))
        end

        # @return [Array(Numeric, Numeric, Numeric, Numeric)] x, y, width, height in page px
        def box(mark)
          case mark[:kind]
          when *DRAWN then points_box(mark)
          when *WRITTEN then [mark[:x], mark[:y], mark[:w], TextLayout.of(mark).height]
          else mark.values_at(:x, :y, :w, :h)
          end
        end

        def points_box(mark)
          xs, ys = mark[:points].each_slice(2).to_a.transpose
          [mark[:x] + xs.min, mark[:y] + ys.min, xs.max - xs.min, ys.max - ys.min]
        end
        private_class_method :points_box
      end
    end
  end
end
