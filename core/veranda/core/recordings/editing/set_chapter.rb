# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Names a chapter anew, begins one, takes one away (without a title), or lets it be as the steps of the class made it.
      class SetChapter < EditCommand
        on :recording, 'recording.chapter'
        MOST = 200
        # Letters in a title.
        LONGEST = 120
        contract do
          # When it begins.
          required(:at).value(:integer, :moment?)
          optional(:title).maybe(:string, max_size?: LONGEST)
          optional(:as_it_was).value(:bool)
        end

        def decide
          editing!
          return as_it_was if input[:as_it_was]

          raise Refusal.new(:too_many_chapters, "A recording has #{MOST} chapters at most.") if edits.chapters.length >= MOST
          raise Refusal.new(:outside, 'That is not within the class.') unless at.between?(sitting.opened_at || 0, sitting.ended_at)

          called = title
          entry('chapter_set', { at: at, title: called }) unless edits.chapters.key?(at) && edits.chapters[at] == called
        end

        private

        def at = input[:at]
        def as_it_was = edits.chapters.key?(at) ? entry('chapter_as_it_was', { at: at }) : nil

        # @return [String, nil] nil to take it away
        def title
          given = input[:title] or return
          Title.clean(given, missing: 'Give the chapter a title, or take it away.')
        end
      end
    end
  end
end
