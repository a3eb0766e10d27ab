# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Puts lines of captions right, adds some, takes some away, or sets all of a language at once.
      class SetCaptions < EditCommand
        on :recording, 'recording.captions'
        # In one recording.
        LANGUAGES = 12
        contract do
          required(:lang).value(Types::LANGUAGE)
          required(:lines).value(:array, max_size?: Cue::MOST).each do
            hash do
              required(:id).value(Types::ID)
              required(:from).value(:integer, :moment?)
              required(:to).value(:integer, :moment?)
              required(:words).filled(:string, max_size?: Cue::LONGEST)
            end
          end
          required(:gone).value(:array, max_size?: Cue::MOST).each(Types::ID)
          # Whether there are no others.
          optional(:all).value(:bool)
        end

        def decide
          editing!
          backwards! if input[:lines].any? { |line| line[:to] <= line[:from] }
          room!(edits.captions)

          entry('captions_set', input)
        end

        private

        def room!(known)
          if known.length >= LANGUAGES && !known.key?(input[:lang])
            raise Refusal.new(:too_many_languages, "A recording has captions in #{LANGUAGES} languages at most.")
          end

          gone = (known.dig(input[:lang], :gone) || []) | input[:gone]
          many! if !input[:all] && gone.length > Cue::MOST
          before = input[:all] ? {} : known.dig(input[:lang], :lines) || {}
          many! if (before.keys | input[:lines].map { |line| line[:id] }).length > Cue::MOST
        end

        def many! = raise(Refusal.new(:too_many_captions, "A language has #{Cue::MOST} lines at most."))
        def backwards! = raise(Refusal.new(:wrong_way_round, 'A line would end before it begins. Choose its times the other way round.'))
      end
    end
  end
end
