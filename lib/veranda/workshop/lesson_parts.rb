# frozen_string_literal: true

require 'fileutils'
require 'json'
require 'zip'

module Veranda
  module Workshop
    # Takes a lesson's zip apart: its manifest, the pages of its boards as marks, and its materials as files of a folder. Opens
    # what strangers made, so it runs in a limited program ({Limited}).
    class LessonParts
      # Bytes of the manifest and of one page.
      MOST_TEXT = 40 * 1024 * 1024

      # @param path [String] of the zip
      # @param to [String] an empty folder for the materials
      def initialize(path, to)
        @path = path
        @to = to
      end

      # @return [Hash] `{ manifest:, pages: { name => { id:, facts:, marks:, authors: } }, files: { name => path } }`
      # @raise [Core::Refusal] `zip_foreign`, `zip_newer`, `zip_incomplete`, `bad_input`, `not_a_board`
      # @raise [ZipGuard::TooMuch, ZipGuard::Damaged]
      def call
        ZipGuard.check!(@path)
        Zip::File.open(@path) do |zip|
          @zip = zip
          facts = Core::Lessons::Manifest.check(manifest)
          { manifest: facts, pages: facts[:boards].flat_map { |board| board[:pages] }.to_h { |name| [name, page(name)] },
            files: facts[:materials].to_h { |material| [material[:file], extract(material[:file])] } }
        end
      rescue Zip::Error => e
        raise ZipGuard::Damaged, e.message
      end

      private

      def manifest
        entry = @zip.find_entry('manifest.json') or
          raise Core::Refusal.new(:zip_foreign, 'This zip holds no lesson of Veranda. Nothing was taken in.')
        Core::PlainText.parse(read(entry))
      rescue Core::Refusal => e
        raise if e.code != :bad_input

        raise Core::Refusal.new(:zip_foreign, 'The manifest in this zip cannot be read. Nothing was taken in.')
      end

      def read(entry)
        # What the zip says of an entry's size may be a lie.
        text = entry.get_input_stream.read(MOST_TEXT + 1) || ''
        raise ZipGuard::TooMuch, 'an entry is too large' if text.bytesize > MOST_TEXT

        text.force_encoding(Encoding::UTF_8).scrub
      end

      def part(name)
        @zip.find_entry(name) || raise(Core::Refusal.new(:zip_incomplete,
                                                         "“#{name}” is missing in this zip. Nothing was taken in."))
      end

      def page(name) = Core::Boards::SvgReader.new(read(part(name))).call.to_h

      def extract(name)
        entry = part(name)
        to = File.join(@to, Dir.children(@to).length.to_s)
        File.open(to, 'wb') { |file| IO.copy_stream(entry.get_input_stream, file) }
        raise ZipGuard::Damaged, 'an entry is larger than it says' unless File.size(to) == entry.size

        to
      end
    end
  end
end
