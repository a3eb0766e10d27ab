# frozen_string_literal: true

module Veranda
  module Workshop
    # An SVG from elsewhere as a slide.
    class Vector
      # @return [Array<String>] words for what was taken out
      attr_reader :dropped

      # @param path [String]
      # @param dir [String] to work in
      def initialize(path, dir)
        @path = path
        @dir = dir
        @dropped = []
      end

      # @return [Hash] as {Pdf#slide} gives
      # @raise [CleanSvg::NotSvg, Tool::Failed]
      def slide
        made = File.join(@dir, 'clean.svg')
        clean = Limited.call(:clean_svg, dir: @dir, path: @path, to: made)
        @dropped = clean[:dropped]
        small = File.join(@dir, 'small.png')
        Tool.run('rsvg-convert', '-w', Pdf::THUMBNAIL.to_s, '-a', '-b', Core::Boards::Inks::PAPER, '-o', small, made, dir: @dir,
                                                                                                                      seconds: 30)
        { slide: 1, w: clean[:w], h: clean[:h], path: made, type: 'image/svg+xml', thumbnail: small, words: clean[:words], tones: [],
          empty: false }
      end
    end
  end
end
