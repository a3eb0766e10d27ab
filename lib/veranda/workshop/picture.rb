# frozen_string_literal: true

module Veranda
  module Workshop
    # A picture made of points: looked at for its size before anything opens it, then written anew, so that nothing
    # but the picture is left of the file.
    class Picture
      # px of the longer side that is kept.
      LONGEST = 4096

      class TooManyPoints < StandardError
        attr_reader :points

        def initialize(points)
          super('too many points')
          @points = points
        end
      end

      # @param path [String]
      # @param type [String] media type
      # @param dir [String] to work in
      def initialize(path, type, dir)
        @path = path
        @type = type
        @dir = dir
      end

      # @return [Hash] as {Pdf#slide} gives
      # @raise [TooManyPoints, Tool::Failed]
      def slide
        within_limits!
        made = convert('whole', LONGEST, ending)
        w, h = size(made)
        thumbnail = convert('small', Pdf::THUMBNAIL, 'png', pages: '')
        { slide: 1, w: w, h: h, path: made, type: "image/#{ending.sub('jpg', 'jpeg')}", thumbnail: thumbnail,
          words: '', tones: tones, empty: false }
      end

      private

      # Pictures that move become WebP, which moves too; photographs stay JPEG; the rest is PNG.
      def ending = { 'image/jpeg' => 'jpg', 'image/gif' => 'webp', 'image/webp' => 'webp' }.fetch(@type, 'png')

      def within_limits!
        w, h = size(@path)
        raise TooManyPoints, w * h if w * h > Core::Materials::Limits::MOST_POINTS
      end

      def size(path)
        %w[width height].map { |field| Integer(Tool.run('vipsheader', '-f', field, path, dir: @dir, seconds: 20).strip) }
      end

      def convert(name, longest, ending, pages: @type == 'image/gif' ? '[n=-1]' : '')
        quality = { 'jpg' => '[Q=88,strip]', 'webp' => '[Q=88,strip]', 'png' => '[strip]' }.fetch(ending)
        to = "#{File.join(@dir, name)}.#{ending}#{quality}"
        Tool.run('vipsthumbnail', "#{@path}#{pages}", '--size', "#{longest}x#{longest}>", '-o', to, dir: @dir, seconds: 90)
        File.join(@dir, "#{name}.#{ending}")
      end

      def tones
        grid = File.join(@dir, 'tones.ppm')
        size = [Pdf::ACROSS.to_s, '--height', Pdf::DOWN.to_s, '--size', 'force']
        Tool.run('vips', 'thumbnail', File.join(@dir, 'small.png'), grid, *size, dir: @dir, seconds: 20)
        Ppm.colours(grid)
      rescue Tool::Failed
        []
      end
    end
  end
end
