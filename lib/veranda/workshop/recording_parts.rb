# frozen_string_literal: true

require 'json'
require 'zip'

module Veranda
  module Workshop
    # Takes a recording's zip apart: its manifest, its streams line by line, and everything else as files of a folder. Opens what strangers
    # made, so it runs in a limited program ({Limited}).
    class RecordingParts
      # Bytes of the manifest.
      MOST_TEXT = 20 * 1024 * 1024
      MANIFEST = Core::Recordings::ZipManifest

      # @param path [String] of the zip
      # @param to [String] an empty folder
      def initialize(path, to)
        @path = path
        @to = to
      end

      # @return [Hash] `{ manifest:, files: { name => path } }`
      # @raise [Core::Refusal] `zip_foreign`, `zip_newer`, `zip_incomplete`, `bad_input`
      # @raise [ZipGuard::TooMuch, ZipGuard::Damaged]
      def call
        ZipGuard.check!(@path, most: Core::Materials::Limits::MOST_RECORDED)
        Zip::File.open(@path) do |zip|
          @zip = zip
          facts = MANIFEST.check(manifest)
          names = facts.values_at(:captions, :tracks, :pictures, :played).flatten.map { |row| row[:file] }
          files = names.uniq.to_h { |name| [name, extract(name)] }
          within = facts[:stretches].flatten.minmax
          streams = facts[:streams].to_h { |row| [row[:file], lines(row, within)] }
          { manifest: facts, files: { **files, **streams } }
        end
      rescue Zip::Error => e
        raise ZipGuard::Damaged, e.message
      end

      private

      def manifest
        entry = @zip.find_entry('manifest.json') or raise Core::Refusal.new(:zip_foreign, MANIFEST::FOREIGN)
        text = entry.get_input_stream.read(MOST_TEXT + 1) || ''
        raise ZipGuard::TooMuch, 'the manifest is too large' if text.bytesize > MOST_TEXT

        Core::PlainText.parse(text.force_encoding(Encoding::UTF_8).scrub)
      rescue Core::Refusal => e
        raise e.code == :bad_input ? Core::Refusal.new(:zip_foreign, 'The manifest in this zip cannot be read. Nothing was taken in.') : e
      end

      def part(name)
        @zip.find_entry(name) || raise(Core::Refusal.new(:zip_incomplete, "“#{name}” is missing in this zip. Nothing was taken in."))
      end

      def fresh = File.join(@to, Dir.children(@to).length.to_s)

      def extract(name)
        entry = part(name)
        to = fresh
        File.open(to, 'wb') { |file| IO.copy_stream(entry.get_input_stream, file) }
        raise ZipGuard::Damaged, 'an entry is larger than it says' unless File.size(to) == entry.size

        to
      end

      def lines(row, within)
        to = fresh
        File.open(to, 'w') do |file|
          RecordingLines.new(row[:name], within: within).each(part(row[:file]).get_input_stream) { |line| file.puts(JSON.generate(line)) }
        end
        to
      end
    end
  end
end
