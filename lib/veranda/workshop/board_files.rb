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

      # @return [String] a PNG
      def png(board, page)
        aside do |dir|
          draw(dir, '-f', 'png', '-w', (Core::Boards::Mark::PAGE_WIDTH * SHARPNESS).to_s, '-o', 'page.png',
               write(dir, 1, svg(board, page)))
          File.binread(File.join(dir, 'page.png'))
        end
      end

      # @param boards [Array<Array(String, Core::Boards::Board)>] each with its name
      # @return [String] a PDF of all their pages in order
      def pdf(boards)
        pages = boards.flat_map { |name, board| board.pages.map { |page| [name, board, page] } }
        aside do |dir|
          files = pages.each_with_index.map { |(name, board, page), i| write(dir, i, svg(board, page, title: name)) }
          parts = files.each_slice(AT_ONCE).with_index.map do |slice, i|
            "part#{i}.pdf".tap { |part| draw(dir, '-f', 'pdf', '-o', part, *slice) }
          end
          if parts.length > 1
            run(dir, 'pdfunite', *parts,
                'all.pdf')
          else
            FileUtils.mv(File.join(dir, parts.first), File.join(dir, 'all.pdf'))
          end
          File.binread(File.join(dir, 'all.pdf'))
        end
      end

      private

      # In a thread of its own, so that a server goes on meanwhile.
      def aside(&)
        thread = Thread.new { Dir.mktmpdir('boards', @archive.files.scratch, &) }
        thread.report_on_exception = false
        thread.value
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

      # @return [String, nil] a slide's picture as an address that carries it
      def picture(material, version, slide)
        @pictures.fetch([material, version, slide]) do |key|
          row = @archive.materials.slide(*key)
          @pictures[key] = "data:#{row[:type]};base64,#{Base64.strict_encode64(File.binread(@archive.files.path(row[:picture])))}"
        end
      rescue Core::Refusal, Errno::ENOENT
        nil
      end
    end
  end
end
