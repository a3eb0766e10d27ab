# frozen_string_literal: true

require 'zip'
require 'zlib'

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
        Zip::File.open(path) do |zip|
          raise TooMuch if zip.size > Core::Materials::Limits::MOST_ENTRIES
          # Of entries with one name the library knows only the last.
          raise Damaged, 'two entries have one name' if zip.size < announced(path)

          entries = zip.entries
          apart!(entries)
          total = 0
          entries.each { |entry| total += unpacked(path, entry, most - total) unless entry.directory? }
          entries.map(&:name)
        end
      rescue Zip::Error, Zlib::Error, EOFError, ArgumentError, TypeError, RangeError, NoMethodError => e
        raise Damaged, e.message
      end

      # How many entries the end of the central directory speaks of (APPNOTE 4.3.16).
      def announced(path)
        tail = File.open(path, 'rb') { |file| file.seek(-[file.size, 65_557].min, IO::SEEK_END) && file.read }
        at = tail.rindex(FINISH) or raise Damaged, 'it has no end'
        tail[at, 12].unpack1('@10v')
      end
      private_class_method :announced

      FINISH = "PK\x05\x06".b

      # Entries that share bytes are how a small file says the same thing a thousand times over.
      def apart!(entries)
        spans = entries.map do |entry|
          [entry.local_header_offset, entry.local_header_offset + LOCAL_HEAD + entry.name.bytesize + entry.compressed_size]
        end
        raise Damaged, 'entries lie over one another' if spans.sort.each_cons(2).any? { |(_, ends), (starts, _)| starts < ends }
      end
      private_class_method :apart!

      # Straight from the file, since this may be a great deal.
      # @return [Integer] bytes
      def unpacked(path, entry, left)
        return entry.compressed_size if entry.compression_method == Zip::Entry::STORED
        raise Damaged, 'packed in an unknown way' unless entry.compression_method == Zip::Entry::DEFLATED

        File.open(path, 'rb') do |file|
          file.seek(entry.local_header_offset)
          names = file.read(LOCAL_HEAD).to_s.unpack(LENGTHS)
          raise Damaged, 'an entry is not where it should be' unless names.length == 2 && names.all?

          file.seek(names.sum, IO::SEEK_CUR)
          inflate(file, left)
        end
      end
      private_class_method :unpacked

      # A local file header, and where in it the lengths of name and extra field stand (APPNOTE 4.3.7).
      LOCAL_HEAD = 30
      LENGTHS = '@26v2'

      def inflate(file, left)
        size = 0
        inflater = Zlib::Inflate.new(-Zlib::MAX_WBITS)
        until inflater.finished?
          packed = file.read(CHUNK) or raise Damaged, 'an entry ends too early'
          inflater.inflate(packed) do |part|
            size += part.bytesize
            raise TooMuch if size > left
          end
        end
        size
      ensure
        inflater&.close
      end
      private_class_method :inflate
    end
  end
end
