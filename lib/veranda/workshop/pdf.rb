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
      # The grid of tones.
      ACROSS = 32
      DOWN = 20
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

      # @param number [Integer] from 1
      # @return [Hash] `{ slide:, w:, h:, path:, type:, thumbnail:, words:, tones:, empty: }`, the files in the folder
      # @raise [Tool::Failed] when this page cannot be read
      def slide(number)
        path, type = picture(number)
        tones = tones(number)
        words = words(number)
        w, h = size(number)
        { slide: number, w: w, h: h, path: path, type: type, thumbnail: thumbnail(number), words: words, tones: tones,
          empty: words.empty? && alike?(tones) && blank?(path, type) }
      end

      private

      def run(*command, **options) = Tool.run(*command, dir: @dir, seconds: 60, **options)
      def only(number) = ['-f', number.to_s, '-l', number.to_s]

      def picture(number)
        path = File.join(@dir, "#{number}.svg")
        run('pdftocairo', '-svg', *only(number), @path, path)
        return [path, 'image/svg+xml'] if File.size(path) <= MOST_VECTOR_BYTES

        png(number, Core::Boards::Mark::PAGE_WIDTH * SHARPNESS, number.to_s).then { |points| [points, 'image/png'] }
      end

      def thumbnail(number) = png(number, THUMBNAIL, "#{number}-small")

      def png(number, width, name)
        run('pdftocairo', '-png', '-singlefile', '-scale-to-x', width.to_s, '-scale-to-y', '-1', *only(number), @path, File.join(@dir, name))
        File.join(@dir, "#{name}.png")
      end

      def words(number)
        run('pdftotext', '-enc', 'UTF-8', '-nopgbrk', *only(number), @path, '-').gsub(/[^\S\n]+/, ' ').gsub(/\n\s*\n+/, "\n").strip
      end

      def size(number)
        line = run('pdfinfo', *only(number), @path)[/^Page.*size:\s+([\d.]+ x [\d.]+)/, 1]
        w, h = line.split(' x ').map { |value| Float(value).round.clamp(1, 20_000) }
        rotated = run('pdfinfo', *only(number), @path)[/^Page.*rot:\s+(\d+)/, 1].to_i
        (rotated % 180).zero? ? [w, h] : [h, w]
      end

      # @return [Array<String>] `#RRGGBB`, row by row
      def tones(number)
        name = File.join(@dir, "#{number}-tones")
        run('pdftoppm', '-singlefile', '-scale-to-x', ACROSS.to_s, '-scale-to-y', DOWN.to_s, *only(number), @path, name)
        Ppm.colours("#{name}.ppm")
      end

      def alike?(tones)
        channels = tones.map { |tone| tone.scan(/\h\h/).map(&:hex) }.transpose
        channels.all? { |values| values.max - values.min <= ALIKE }
      end

      # Thin lines leave no trace in the tones, but they do in the vector picture.
      def blank?(path, type) = type != 'image/svg+xml' || !File.read(path).match?(/<(path|use|image|g id="source)[^>]*[^>]stroke="rgb|<image|<use/)
    end
  end
end
