# frozen_string_literal: true

require 'hexapdf'

module Veranda
  module Workshop
    # Lays the pages of the PDFs that slides were made of under the pages of a drawn one, so that the words on slides can be
    # selected and searched in it too.
    class SlidesBeneath
      # px on a board page to points of a PDF.
      POINTS = 0.75

      # What lies under one page: the path of a PDF, the page in it from 1, and where its corners come, in px from the
      # upper left of the drawn page.
      Beneath = Struct.new(:path, :number, :x, :y, :w, :h, keyword_init: true)

      # @param drawn [String] path of the PDF with what was drawn
      # @param beneath [Array<Beneath, nil>] one for each page of it
      def initialize(drawn, beneath)
        @drawn = drawn
        @beneath = beneath
        @sources = {}
      end

      # @param to [String] path of the file to write
      def write(to)
        doc = HexaPDF::Document.new
        HexaPDF::Document.open(@drawn).pages.each_with_index { |page, i| compose(doc, page, @beneath[i]) }
        doc.write(to, optimize: false)
      end

      private

      def compose(doc, page, beneath)
        return doc.pages << doc.import(page) unless beneath

        canvas = paper(doc, page.box)
        slide = form(doc, upright(source(beneath.path).pages[beneath.number - 1]))
        bottom = page.box.height - (beneath.y + beneath.h) * POINTS
        canvas.xobject(slide, at: [beneath.x * POINTS, bottom], width: beneath.w * POINTS, height: beneath.h * POINTS)
        canvas.xobject(form(doc, page), at: [0, 0])
      end

      # @return [HexaPDF::Content::Canvas] of a new page, of the colour of paper
      def paper(doc, box)
        doc.pages.add([0, 0, box.width, box.height]).canvas.tap do |canvas|
          canvas.fill_color(Core::Boards::Inks::PAPER.delete('#')).rectangle(0, 0, box.width, box.height).fill
        end
      end

      # Slides may be stored lying on their side.
      def upright(page)
        page.rotate(0, flatten: true) unless (page[:Rotate] || 0).zero?
        page
      end

      # Not a group of its own, so that highlighters let through what lies beneath.
      def form(doc, page)
        doc.import(page.to_form_xobject(reference: false)).tap { |form| form.delete(:Group) }
      end

      def source(path) = @sources[path] ||= HexaPDF::Document.open(path)
    end
  end
end
