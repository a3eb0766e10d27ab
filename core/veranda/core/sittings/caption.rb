# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Tells in writing what is said. Several people can take turns, line by line; who reads along chooses so on their own screen.
      class Caption < SittingCommand
        on :place, 'class.caption'
        # ms for which a line can have been typed.
        LONGEST = 20_000
        contract do
          required(:id).value(Types::ID)
          required(:words).filled(:string, max_size?: Recordings::Cue::LONGEST)
          required(:lang).value(Types::LANGUAGE)
          # ms since it was said, when they began to type.
          required(:took).value(:integer, gteq?: 0, lteq?: LONGEST)
        end

        def decide
          going_on!
          may!(:caption)
          words = input[:words].gsub(Name::INVISIBLE, ' ').strip
          raise Refusal.new(:no_words, 'Write what is said first.') if words.empty?

          entry('captioned', { **input, words: words })
        end
      end
    end
  end
end
