# frozen_string_literal: true

require 'zip'

module Veranda
  module Workshop
    # Looks into a zip before anybody unpacks it. What a zip says of its own size may be a lie, so
    # everything is unpacked once into nothing, and given up as soon as it is too much.
    module ZipGuard
      class TooMuch < StandardError; end
      class Damaged < StandardError; end

      CHUNK = 256 * 1024

      module_function

      # @param path [String]
      # @param most [Integer] bytes that all entries together may unpack to
      # @return [Array<String>] names of the entries
      # @raise [TooMuch, Damaged]
      def check!(path, most: Core::Materials::Limits::MOST_UNPACKED)
        names = []
        total = 0
        Zip::File.open(path) do |zip|
          raise TooMuch if zip.size > Core::Materials::Limits::MOST_ENTRIES

          zip.each do |entry|
            names << entry.name
            total += unpacked(entry, most - total) unless entry.directory?
          end
        end
        names
      rescue Zip::Error, Zlib::Error, EOFError, ArgumentError, TypeError, RangeError, NoMethodError => e
        raise Damaged, e.message
      end

      # @return [Integer] bytes
      def unpacked(entry, left)
        size = 0
        entry.get_input_stream do |stream|
          while (part = stream.read(CHUNK))
            break if part.empty?

            size += part.bytesize
            raise TooMuch if size > left
          end
        end
        size
      end
      private_class_method :unpacked
    end
  end
end
