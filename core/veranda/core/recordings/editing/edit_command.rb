# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # What commands that edit a recording share: staff give them, once the class is over.
      class EditCommand < Command
        looks_at :sitting
        begins :home

        # ms; of less there is nothing to watch.
        LEAST = 1_000

        private

        def edits = state

        def editing!
          staff!('Only instructors and assistants edit a recording.')
          return if sitting.ended? && (sitting.stretches.any? || is_a?(AddStretch))

          raise Refusal.new(:not_recorded, 'There is no recording of this class to edit.')
        end
      end
    end
  end
end
