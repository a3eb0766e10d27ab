# frozen_string_literal: true

require 'hexapdf'

module Veranda
  module Workshop
    # Saves the pages of a PDF whose end is missing: looks through the file for whatever still is a
    # page, and binds those together anew.
    module SavePages
      module_function

      # @param path [String]
      # @param to [String] where the saved pages go
      # @return [Integer, nil] how many were saved; nil when none could be
      def call(path, to)
        doc = HexaPDF::Document.open(path, config: { 'parser.try_xref_reconstruction' => true, 'parser.on_correctable_error' => lambda { |*|
          false
        } })
        found = pages(doc)
        return if found.empty?

        saved = HexaPDF::Document.new
        found.each { |page| saved.pages << saved.import(page) }
        saved.write(to, optimize: false, validate: false)
        found.length
      rescue StandardError
        # A file can be broken in more ways than the library has names for.
        nil
      end

      # @return [Array<HexaPDF::Type::Page>] in the order of the file
      def pages(doc)
        doc.each(only_current: false).filter_map do |object|
          next unless object.is_a?(HexaPDF::Dictionary) && object[:Type] == :Page && readable?(object)

          object[:MediaBox] ||= [0, 0, 595, 842]
          object.delete(:Parent)
          doc.wrap(object, type: :Page)
        end
      end
      private_class_method :pages

      def readable?(page)
        contents = [page[:Contents]].flatten.compact
        contents.any? && contents.all? { |part| part.respond_to?(:stream) && part.stream }
      rescue HexaPDF::Error
        false
      end
      private_class_method :readable?
    end
  end
end
