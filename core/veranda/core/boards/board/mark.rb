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
      # Drawn kinds carry `points`, flat pairs relative to `x`, `y`, and `press`, one value of
      # 0..1 for each point, when the pen told its pressure. Boxed kinds carry `w`, `h`. `angle` turns a
      # mark about the middle of its box, in degrees clockwise. Marks with one `group` are
      # chosen together. A picture names a page of a material: `material`, `version`, `slide`.
      module Mark
        PAGE_WIDTH = 1600
        PAGE_HEIGHT = 1000

        FREEHAND = %w[stroke highlight].freeze
        DRAWN = [*FREEHAND, 'line', 'arrow', 'polygon'].freeze
        BOXED = %w[rectangle ellipse].freeze
        WRITTEN = %w[text note].freeze
        PICTURE = 'image'
        SIGN = 'sign'
        PROP = 'prop'
        KINDS = [*DRAWN, *BOXED, *WRITTEN, PICTURE, SIGN, PROP].freeze

        # The small marks that are put with one click.
        SIGNS = %w[tick cross arrow].freeze

        # What a person may change on a mark after it was put.
        CHANGEABLE = %i[x y w h points press ink width text size locked fill page angle group alt].freeze

        REQUIRED = {
          **DRAWN.to_h { |kind| [kind, %i[points width]] },
          **BOXED.to_h { |kind| [kind, %i[w h width]] },
          **WRITTEN.to_h { |kind| [kind, %i[text size w]] },
          PICTURE => %i[w h material version slide alt],
          SIGN => %i[w h sign],
          PROP => %i[w h prop settings]
        }.freeze

        # What no mark on a board is without.
        ALWAYS = %i[page kind x y z ink].freeze

        module_function

        # A change that would leave a mark without something it needs leaves that as it was. No command decides on such a change
        # any more; boards of earlier versions may hold one.
        # @param mark [Hash] after the change
        # @param before [Hash]
        # @return [Hash]
        def whole(mark, before)
          missing = (ALWAYS + REQUIRED.fetch(mark[:kind] || before[:kind])).reject { |field| mark.key?(field) }
          missing.empty? ? mark : before.slice(*missing).merge(mark)
        end

        # @param mark [Hash]
        # @raise [Refusal] `mark_incomplete`
        def check!(mark)
          missing = REQUIRED.fetch(mark[:kind]).find { |field| mark[field].nil? }
          raise Refusal.new(:mark_incomplete, "A #{mark[:kind]} needs its #{missing}. Nothing was put on the board.") if missing
          return if mark[:press].nil? || mark[:press].length * 2 == mark[:points]&.length

          raise Refusal.new(:mark_incomplete, 'A stroke needs one pressure for each point. Nothing was put on the board.')
        end

        # Control characters cannot be written as XML and mean nothing on a board.
        # @param fields [Hash] a mark or a set of changes to one
        # @return [Hash]
        def tidy(fields)
          fields = fields.merge(settings: tidy_settings(fields[:settings])) if fields[:settings]
          %i[text alt].reduce(fields) do |tidied, field|
            tidied[field] ? tidied.merge(field => plain(tidied[field])) : tidied
          end
        end

        def plain(text) = text.gsub(/\r\n?/, "\n").tr("\t", ' ').gsub(/[^\n\P{Cc}]|[\uFFFE\uFFFF]/, '')

        # As {plain}, for everything that is written on a prop.
        # @param settings [Hash]
        def tidy_settings(settings)
          %i[labels names].reduce(settings) do |tidied, field|
            tidied[field] ? tidied.merge(field => tidied[field].map { |text| plain(text).tr("\n", ' ') }) : tidied
          end
        end

        # @return [Array(Numeric, Numeric, Numeric, Numeric)] x, y, width, height in page px, before it is turned
        def box(mark)
          case mark[:kind]
          when *DRAWN then points_box(mark)
          when *WRITTEN then [mark[:x], mark[:y], mark[:w], written_height(mark)]
          else mark.values_at(:x, :y, :w, :h)
          end
        end

        # @return [Array(Numeric, Numeric, Numeric, Numeric)] the upright box around the mark as it lies on the page
        def bounds(mark)
          x, y, w, h = box(mark)
          return [x, y, w, h] if (mark[:angle] || 0).zero?

          turn = mark[:angle] * Math::PI / 180
          wide = (w * Math.cos(turn)).abs + (h * Math.sin(turn)).abs
          high = (w * Math.sin(turn)).abs + (h * Math.cos(turn)).abs
          [x + (w - wide) / 2.0, y + (h - high) / 2.0, wide, high]
        end

        # @return [String] the words on a mark, for searching: its text, or what its picture shows
        def words(mark) = [mark[:text], mark[:alt], *mark.dig(:settings, :labels), *mark.dig(:settings, :names)].compact.join(' ')

        def written_height(mark)
          height = TextLayout.of(mark).height
          mark[:kind] == 'note' ? [mark[:h] || 0, height].max : height
        end
        private_class_method :written_height

        def points_box(mark)
          xs, ys = mark[:points].each_slice(2).to_a.transpose
          [mark[:x] + xs.min, mark[:y] + ys.min, xs.max - xs.min, ys.max - ys.min]
        end
        private_class_method :points_box
      end
    end
  end
end
