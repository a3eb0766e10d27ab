# frozen_string_literal: true

module Veranda
  module Workshop
    module Film
      # An SVG that was read and can be drawn again and again.
      class Drawing
        # @param text [String] an SVG
        # @return [Drawing, nil] nil when it cannot be read
        def self.of(text)
          handle = Cairo.rsvg_handle_new_from_data(text, text.bytesize, nil)
          handle.null? ? nil : new(handle)
        end

        def initialize(handle)
          @handle = handle
          ObjectSpace.define_finalizer(self, self.class.freeing(handle))
        end

        # @param context [Fiddle::Pointer] of a {Canvas}
        # @param box [Array<Numeric>] x, y, width and height in points that all of it is fitted into
        def draw(context, box)
          Cairo.rsvg_handle_render_document(@handle, context, box.pack('d4'), nil)
        end

        def self.freeing(handle) = ->(_) { Cairo.g_object_unref(handle) }
      end
    end
  end
end
