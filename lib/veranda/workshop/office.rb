# frozen_string_literal: true

require 'fileutils'

module Veranda
  module Workshop
    # An office document: made into a PDF by LibreOffice, and looked through for what gets lost on the way ({OfficeFacts}).
    class Office
      # Symbols are drawn by fonts that documents name without needing their letters.
      SYMBOLS = /symbol|wingdings|webdings|dingbats/i
      # s; a document that was made to be slow must not hold up everyone else's.
      LONGEST = 120

      # @param path [String]
      # @param type [String] media type
      # @param dir [String] to work in
      def initialize(path, type, dir)
        @path = path
        @ending = Core::Materials::Kinds::OFFICE.fetch(type)
        @dir = dir
      end

      # @return [String] path of the PDF
      # @raise [Tool::Failed]
      def pdf
        source = File.join(@dir, "in.#{@ending}")
        FileUtils.cp(@path, source)
        Tool.run('soffice', "-env:UserInstallation=file://#{profile}", '--headless', '--norestore', '--convert-to', 'pdf', '--outdir', @dir,
                 source, dir: @dir, seconds: LONGEST, memory: 8 * Tool::GIGABYTE)
        made = File.join(@dir, 'in.pdf')
        raise Tool::Failed, 'nothing came of it' unless File.exist?(made)

        made
      end

      # @param there [Array<String>] names of the fonts in the PDF
      # @return [Hash{String => String, nil}] what stands in for each font that the document asks for in vain
      def missing_fonts(there)
        missing = facts[:fonts].grep_v(SYMBOLS).reject { |font| there.any? { |name| same?(font, name) } }
        spare = there.reject { |name| facts[:fonts].any? { |font| same?(font, name) } }
        spare = spare.map { |name| name.split(/[-,]/).first }.uniq
        missing.to_h { |font| [font, spare.length == 1 || missing.length == 1 ? spaced(spare.first) : nil] }
      end

      # @return [Array<Integer>] slides on which something moves
      def animated = facts[:animated]

      private

      def facts = @facts ||= Limited.call(:office_facts, dir: @dir, path: @path, ending: @ending)

      # Each run gets a fresh profile, so that two runs never meet and no document changes the next one's settings.
      def profile = File.join(@dir, 'profile')

      def same?(font, name) = folded(name).start_with?(folded(font))
      def folded(name) = name.downcase.gsub(/[^\p{L}\p{N}]/, '')
      def spaced(name) = name&.gsub(/(?<=\p{Ll})(?=\p{Lu})/, ' ')
    end
  end
end
