# frozen_string_literal: true

module Veranda
  module Core
    module Materials
      # Names of files as people have them, made fit to be shown.
      module FileName
        LIMIT = 120

        module_function

        # @param name [String]
        # @return [String] without folders and invisible characters
        def clean(name)
          last = name.to_s.scrub('').split(%r{[/\\]}).last.to_s.gsub(/[\p{Cc}\p{Cf}\p{Zl}\p{Zp}]/, '').strip
          last.empty? || last.match?(/\A\.+\z/) ? 'file' : last[-LIMIT..] || last
        end

        # @return [String] a title made of it: "harbour_lights.pptx" is about "harbour lights"
        def title(name)
          title = File.basename(clean(name), '.*').tr('_', ' ').squeeze(' ').strip
          title.empty? ? 'File' : title
        end

        # @return [String] a name for a file to be saved under, of plain letters
        def plain(text)
          name = text.unicode_normalize(:nfkd).gsub(/\p{M}/, '').gsub(/[^A-Za-z0-9]+/, '-').gsub(/\A-|-\z/, '').downcase
          name.empty? ? 'board' : name[0, 60]
        end
      end
    end
  end
end
