# frozen_string_literal: true

module Veranda
  module Workshop
    # A PDF as slides: a picture of each page in vector form where that is reasonable, its words, a thumbnail and
    # its tones. poppler does the work.
    class Pdf
      # Larger vector pictures are slower to show than points are.
      MOST_VECTOR_BYTES = 1_500_000
      # Points of a picture per px of a board page, and how wide a thumbnail is.
      SHARPNESS = 2
      THUMBNAIL = 320
      # Pages that one run of a program works on.
      BATCH = 12
      # The grid of tones.
      ACROSS = Core::Lessons::Legibility::TONES_ACROSS
      DOWN = Core::Lessons::Legibility::TONES_DOWN
      # A page whose words and tones are all alike shows nothing; tones may differ by so little.
      ALIKE = 3

      class Locked < StandardError; end
      class Damaged < StandardError; end

      # @param path [String]
      # @param dir [String] to work in
      def initialize(path, dir)
        @path = path
        @dir = dir
      end

      # @return [Integer] number of pages
      # @raise [Locked, Damaged]
      def count
        @count ||= begin
          info = run('pdfinfo', @path)
          Integer(info[/^Pages:\s+(\d+)/, 1] || raise(Damaged))
        end
      rescue Tool::Failed => e
        raise Locked if e.message.match?(/Incorrect password|encrypted/i)

        raise Damaged
      end

      # @return [Boolean] whether poppler finds something wrong with it
      def damaged?
        run('qpdf', '--check', @path)
        false
      rescue Tool::TooLong
        false
      rescue Tool::Failed
        true
      end

      # @return [Array<String>] families of the fonts in it, as "Carlito"
      def fonts
        run('pdffonts', @path, errors: false).lines.drop(2).map { |line| line.split.first.to_s.sub(/\A[A-Z]{6}\+/, '') }.uniq
      end

      # The slides one after the other, the first as soon as it can be. Ends early at a page that cannot be read.
      # @param last [Integer]
      # @yieldparam slide [Hash] `{ slide:, w:, h:, path:, type:, thumbnail:, words:, tones:, empty: }`, the files in the folder
      def each_slide(last = count)
        batches(last).each do |pages|
          sizes, words, thumbnails, tones = sizes(pages), words(pages), thumbnails(pages), tones(pages)
          pages.each_with_index do |number, i|
            path, type = picture(number)
            w, h = sizes.fetch(i) { raise Tool::Failed, 'no such page' }
            colours = tones[i] || []
            said = words[i].to_s
            yield(slide: number, w: w, h: h, path: path, type: type, thumbnail: thumbnails.fetch(i), words: said, tones: colours,
                  empty: said.empty? && alike?(colours) && blank?(path, type))
          end
        end
      rescue Tool::TooLong
        raise
      rescue Tool::Failed, IndexError
        # What was read until here stays.
      end

      private

      def run(*command, **options) = Tool.run(*command, dir: @dir, seconds: 60, **options)

      def picture(number)
        path = File.join(@dir, "#{number}.svg")
        run('pdftocairo', '-svg', *only(number), @path, path)
        return [path, 'image/svg+xml'] if File.size(path) <= MOST_VECTOR_BYTES

        png(number, Core::Boards::Mark::PAGE_WIDTH * SHARPNESS, number.to_s).then { |points| [points, 'image/png'] }
      end

      # @return [Array<Array<Integer>>] page numbers: the first alone, so that it is soon there
      def batches(last) = [[1], *(2..last).each_slice(BATCH)]

      def png(number, width, name)
        run('pdftocairo', '-png', '-singlefile', '-scale-to-x', width.to_s, '-scale-to-y', '-1', *only(number), @path,
            File.join(@dir, name))
        File.join(@dir, "#{name}.png")
      end

      def span(pages) = ['-f', pages.first.to_s, '-l', pages.last.to_s]
      def only(number) = span([number])

      # @return [Array<String>] paths, in order
      def thumbnails(pages)
        run('pdftocairo', '-png', '-scale-to-x', THUMBNAIL.to_s, '-scale-to-y', '-1', *span(pages), @path,
            File.join(@dir, "small#{pages.first}"))
        made("small#{pages.first}-*.png")
      end

      # @return [Array<Array<String>>] `#RRGGBB` of each page, row by row
      def tones(pages)
        run('pdftoppm', '-scale-to-x', ACROSS.to_s, '-scale-to-y', DOWN.to_s, *span(pages), @path,
            File.join(@dir, "tones#{pages.first}"))
        made("tones#{pages.first}-*.ppm").map { |path| Ppm.colours(path) }
      end

      def made(pattern) = Dir[File.join(@dir, pattern)].sort_by { |path| path[/-(\d+)\.\w+\z/, 1].to_i }

      def words(pages)
        run('pdftotext', '-enc', 'UTF-8', *span(pages), @path, '-').split("\f").map do |text|
          text.gsub(/[^\S\n]+/, ' ').gsub(/\n\s*\n+/, "\n").strip
        end
      end

      # @return [Array<Array(Integer, Integer)>] points, as the pages are turned
      def sizes(pages)
        info = run('pdfinfo', *span(pages), @path)
        turns = info.scan(/^Page.*rot:\s+(\d+)/).flatten.map(&:to_i)
        info.scan(/^Page.*size:\s+([\d.]+) x ([\d.]+)/).zip(turns).map do |size, turn|
          w, h = size.map { |value| Float(value).round.clamp(1, 20_000) }
          (turn.to_i % 180).zero? ? [w, h] : [h, w]
        end
      end

      def alike?(tones)
        channels = tones.map { |tone| tone.scan(/\h\h/).map(&:hex) }.transpose
        channels.all? { |values| values.max - values.min <= ALIKE }
      end

      # Thin lines leave no trace in the tones, but they do in the vector picture.
      def blank?(path, type)
        type != 'image/svg+xml' || !File.read(path).match?(/<(path|use|image|g id="source)[^>]*[^>]stroke="rgb|<image|<use/)
      end
    end
  end
end
