# frozen_string_literal: true

require 'fiddle'
require 'fiddle/import'

module Veranda
  module Workshop
    module Film
      # The few calls of cairo and librsvg that drawing a film takes. Both are there wherever `rsvg-convert` is; called in this process
      # they draw one mark in a millisecond, where a program of its own takes a hundred.
      module Cairo
        extend Fiddle::Importer

        dlload 'libcairo.so.2', 'librsvg-2.so.2', 'libgobject-2.0.so.0'

        # Red, green and blue, four bytes a point.
        RGB24 = 1

        extern 'void *cairo_image_surface_create(int, int, int)'
        extern 'int cairo_surface_status(void *)'
        extern 'void cairo_surface_flush(void *)'
        extern 'void cairo_surface_destroy(void *)'
        extern 'void *cairo_image_surface_get_data(void *)'
        extern 'int cairo_image_surface_get_stride(void *)'
        extern 'void *cairo_create(void *)'
        extern 'void cairo_destroy(void *)'
        extern 'void cairo_save(void *)'
        extern 'void cairo_restore(void *)'
        extern 'void cairo_rectangle(void *, double, double, double, double)'
        extern 'void cairo_clip(void *)'
        extern 'void cairo_paint(void *)'
        extern 'void cairo_set_source_rgb(void *, double, double, double)'
        extern 'void cairo_set_source_surface(void *, void *, double, double)'
        extern 'void *rsvg_handle_new_from_data(void *, size_t, void *)'
        extern 'int rsvg_handle_render_document(void *, void *, void *, void *)'
        extern 'void g_object_unref(void *)'
      end
    end
  end
end
