# frozen_string_literal: true

module Veranda
  module Core
    # What a lesson, a step, a chapter or a material is called: one line, without what cannot be seen and without what turns the direction
    # of others' words round. The two letters that join and part those of Persian and of many scripts of India stay.
    #
    #   Title.clean(" Collision \n rules\u202E ") #=> "Collision rules"
    module Title
      INVISIBLE = /(?:(?![\u200C\u200D])[\p{Cc}\p{Cf}\p{Z}\p{Cn}\p{Co}\s])+/

      # @param text [String]
      # @return [String]
      # @raise [Refusal] `title_missing` when nothing is left of it
      def self.clean(text, missing: 'Give it a title.')
        title = text.scrub('').gsub(INVISIBLE, ' ').strip
        title.empty? ? raise(Refusal.new(:title_missing, missing)) : title
      end
    end
  end
end
