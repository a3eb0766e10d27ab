# frozen_string_literal: true

require 'fileutils'
require 'tmpdir'

module Veranda
  module Workshop
    # The fonts that boards are written in, for programs that draw them. They come with the front end, in the
    # form that browsers take, and are unpacked once. Documents are drawn by those that come with our packages ({PACKAGED}).
    module Fonts
      PACKAGED = File.join(ROOT, 'config/fonts.conf')
      FOLDER = File.join(ROOT, 'web/node_modules/@fontsource-variable/atkinson-hyperlegible-next/files')

      module_function

      # @param dir [String] folder for the settings and the cache of fontconfig
      # @return [Hash] environment for the program
      def environment(dir)
        unpacked = File.join(dir, 'fonts')
        unpack(unpacked) unless Dir.exist?(unpacked)
        path = File.join(dir, 'drawing.conf')
        File.write(path, <<~XML) unless File.exist?(path)
          <?xml version="1.0"?>
          <!DOCTYPE fontconfig SYSTEM "fonts.dtd">
          <fontconfig>
            <include>#{PACKAGED}</include>
            <dir>#{unpacked}</dir>
            <cachedir>#{File.join(dir, 'fonts-cache')}</cachedir>
          </fontconfig>
        XML
        { 'FONTCONFIG_FILE' => path }
      end

      # Into a folder beside, so that nobody meets half of it.
      def unpack(to)
        making = Dir.mktmpdir('fonts', File.dirname(to))
        Dir[File.join(FOLDER, '*-wght-normal.woff2')].each do |font|
          FileUtils.cp(font, making)
          Tool.run('woff2_decompress', File.basename(font), dir: making, seconds: 20)
          FileUtils.rm(File.join(making, File.basename(font)))
        end
        File.rename(making, to)
      rescue Errno::ENOTEMPTY, Errno::EEXIST
        FileUtils.rm_rf(making)
      end
      private_class_method :unpack
    end
  end
end
