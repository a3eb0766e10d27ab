# frozen_string_literal: true

require 'marcel'

module Veranda
  module Workshop
    # What a file is, told by what is in it.
    module Sniff
      # Microsoft's compound files: older office formats, and new ones behind a password.
      COMPOUND = "\xD0\xCF\x11\xE0\xA1\xB1\x1A\xE1".b
      # A name inside such a file, in the two-byte letters it uses.
      LOCKED = 'EncryptedPackage'.encode(Encoding::UTF_16LE).b
      ZIPPED = "PK\x03\x04".b

      module_function

      # @param path [String]
      # @param name [String] tells formats apart that share a container
      # @return [String] media type
      def type(path, name)
        return office_of(name) || 'application/x-ole-storage' if compound?(path)

        File.open(path, 'rb') { |file| Marcel::MimeType.for(file, name: zipped?(path) ? name : nil) }
      end

      # @return [Symbol, nil] `:encrypted` or `:old_format`
      def closed(path)
        return unless compound?(path)

        File.binread(path).include?(LOCKED) ? :encrypted : :old_format
      end

      def compound?(path) = head(path) == COMPOUND
      def zipped?(path) = head(path).start_with?(ZIPPED)
      def head(path) = File.binread(path, 8) || ''

      def office_of(name)
        ending = File.extname(name).downcase.delete('.').sub(/\A(ppt|doc)\z/, '\1x')
        Core::Materials::Kinds::OFFICE.key(ending)
      end
      private_class_method :head, :office_of
    end
  end
end
