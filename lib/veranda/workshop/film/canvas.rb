# frozen_string_literal: true

module Veranda
  module Workshop
    module Film
      # A picture in memory to draw on.
      class Canvas
        class TooLarge < StandardError; end

        BYTES = 4

        # @return [Integer] points
        attr_reader :w, :h

        def initialize(w, h)
          @w = w
          @h = h
          @surface = Cairo.cairo_image_surface_create(Cairo::RGB24, w, h)
          raise TooLarge, "#{w} × #{h}" unless Cairo.cairo_surface_status(@surface).zero?

          @context = Cairo.cairo_create(@surface)
          ObjectSpace.define_finalizer(self, self.class.freeing(@surface, @context))
        end

        # @param colour [String] `#RRGGBB`
        # @param box [Array<Numeric>, nil] x, y, width and height in points; all of it when nil
        # @return [self]
        def fill(colour, box = nil)
          within(box) do
            Cairo.cairo_set_source_rgb(@context, *colour.scan(/\h\h/).map { |part| part.to_i(16) / 255.0 })
            Cairo.cairo_paint(@context)
          end
        end

        # @param drawing [Drawing, nil]
        # @param box [Array<Numeric>] that the drawing is fitted into
        # @param clip [Array<Numeric>, nil] outside of which nothing changes
        # @return [self]
        def draw(drawing, box, clip: nil)
          within(clip) { drawing&.draw(@context, box) }
        end

        # Lays another picture on this one.
        # @return [self]
        def lay(other, x = 0, y = 0, clip: nil)
          within(clip) do
            Cairo.cairo_set_source_surface(@context, other.surface, x.to_f, y.to_f)
            Cairo.cairo_paint(@context)
          end
        end

        # @return [String] its points, row by row: blue, green, red and nothing
        def bytes
          Cairo.cairo_surface_flush(@surface)
          stride = Cairo.cairo_image_surface_get_stride(@surface)
          all = Cairo.cairo_image_surface_get_data(@surface)[0, stride * @h]
          stride == @w * BYTES ? all : Array.new(@h) { |row| all.byteslice(row * stride, @w * BYTES) }.join
        end

        def self.freeing(surface, context)
          lambda do |_|
            Cairo.cairo_destroy(context)
            Cairo.cairo_surface_destroy(surface)
          end
        end

        protected

        attr_reader :surface

        private

        def within(box)
          Cairo.cairo_save(@context)
          if box
            Cairo.cairo_rectangle(@context, *box.map(&:to_f))
            Cairo.cairo_clip(@context)
          end
          yield
          self
        ensure
          Cairo.cairo_restore(@context)
        end
      end
    end
  end
end
