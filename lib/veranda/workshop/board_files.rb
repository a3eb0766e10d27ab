# frozen_string_literal: true

require 'base64'
require 'tmpdir'

module Veranda
  module Workshop
    # Boards as files for elsewhere: SVG with its pictures inside, PNG, and PDF in vector form with text that
    # can be selected. librsvg draws; the SVG is the one of the core.
    class BoardFiles
      # Points of a PNG per px of the page.
      SHARPNESS = 2
      # Pages that one run of the drawing program takes.
      AT_ONCE = 100

      # @param archive [Store::Archive]
      def initialize(archive)
        @archive = archive
        @pictures = {}
      end

      # @param board [Core::Boards::Board]
      # @param page [String]
      # @return [String] an SVG that stands alone
      def svg(board, page, title: 'Board')
        Core::Boards::SvgWriter.new(board, page, title: title, pictures: method(:picture)).call
      end

      # @return [String] a small SVG of a page, with thumbnails for pictures
      def small(board, page)
        Core::Boards::SvgWriter.new(board, page, pictures: ->(*slide) { embedded(*slide, :thumbnail) }).call
      end

      # @return [String] a PNG
      def png(board, page)
        in_scratch do |dir|
          draw(dir, '-f', 'png', '-w', (Core::Boards::Mark::PAGE_WIDTH * SHARPNESS).to_s, '-o', 'page.png',
               write(dir, 1, svg(board, page)))
          File.binread(File.join(dir, 'page.png'))
        end
      end

      # @param boards [Array<Array(String, Core::Boards::Board)>] each with its name
      # @return [String] a PDF of all their pages in order
      def pdf(boards)
        pages = boards.flat_map { |name, board| board.pages.map { |page| [name, board, page] } }
        in_scratch { |dir| compose(dir, pages, pages.map { |_, board, page| beneath(board, page) }) }
      rescue Tool::Failed
        # A PDF that cannot be taken apart is drawn as a picture.
        in_scratch { |dir| compose(dir, pages, pages.map { nil }) }
      end

      private

      # @return [String] a PDF
      def compose(dir, pages, beneath)
        drawn = bind(dir, pages.zip(beneath).map.with_index { |(page, under), i| sheet(dir, i, page, under) })
        beneath.any? ? on_slides(dir, drawn, beneath) : File.binread(drawn)
      end

      # One page as SVG; a slide that is laid beneath as PDF is left out of it.
      def sheet(dir, number, (name, board, page), under)
        text = Core::Boards::SvgWriter.new(board, page, title: name, pictures: method(:picture), ground: under.nil?).call
        write(dir, number, text)
      end

      # @return [String] path of one PDF of all sheets
      def bind(dir, sheets)
        parts = sheets.each_slice(AT_ONCE).with_index.map do |slice, i|
          "part#{i}.pdf".tap { |part| draw(dir, '-f', 'pdf', '-o', part, *slice) }
        end
        return File.join(dir, parts.first) if parts.length == 1

        run(dir, 'pdfunite', *parts, 'all.pdf')
        File.join(dir, 'all.pdf')
      end

      def on_slides(dir, drawn, beneath)
        to = File.join(dir, 'on-slides.pdf')
        Limited.call(:lay_beneath, dir: dir, seconds: 110, drawn: drawn, beneath: beneath.map { |one| one&.to_h }, to: to)
        File.binread(to)
      end

      # @return [SlidesBeneath::Beneath, nil] nil when there is no slide, or none that was made of a sound PDF
      def beneath(board, page)
        ground = board.page_facts.dig(page, :ground) or return
        path = pdf_of(ground[:material], ground[:version]) or return
        x, y, = Core::Boards::SvgWriter.new(board, page).frame
        w = Core::Boards::Mark::PAGE_WIDTH
        SlidesBeneath::Beneath.new(path: path, number: ground[:slide], x: -x, y: -y, w: w, h: w * ground[:h] / ground[:w].to_f)
      end

      def pdf_of(id, version)
        @pdfs ||= {}
        @pdfs.fetch([id, version]) do |key|
          row = @archive.materials.version(id, version)
          name = row[:type] == Core::Materials::Kinds::PDF ? row[:original] : "materials/#{id}/#{version}/pdf"
          damaged = row[:findings].to_a.any? { |finding| finding['code'] == 'damaged' }
          @pdfs[key] = (@archive.files.path(name) if name && !damaged && @archive.files.exist?(name))
        end
      rescue Core::Refusal
        nil
      end

      def in_scratch(&)
        Dir.mktmpdir('boards', @archive.files.scratch, &)
      end

      def write(dir, number, text)
        "#{number}.svg".tap { |name| File.write(File.join(dir, name), text) }
      end

      def draw(dir, *arguments) = run(dir, 'rsvg-convert', '--unlimited', *arguments)

      def run(dir, *command)
        Tool.run(*command, dir: dir, seconds: 120, environment: Fonts.environment(@archive.files.scratch))
      rescue Tool::Failed
        raise Core::Refusal.new(:export_failed, 'This could not be drawn as a file. The board is as it was; try a single page.')
      end

      def picture(*slide) = embedded(*slide, :picture)

      # @param size [Symbol] `:picture` or `:thumbnail`
      # @return [String, nil] a slide's picture as an address that carries it
      def embedded(material, version, slide, size)
        @pictures.fetch([material, version, slide, size]) do |key|
          row = @archive.materials.slide(material, version, slide)
          type = size == :thumbnail ? 'image/png' : row[:type]
          @pictures[key] = "data:#{type};base64,#{Base64.strict_encode64(File.binread(@archive.files.path(row[size])))}"
        end
      rescue Core::Refusal, Errno::ENOENT
        nil
      end
    end
  end
end
