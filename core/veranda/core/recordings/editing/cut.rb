# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Leaves a stretch out. What was drawn in it stays on the boards; what was said, written and pointed at goes.
      class Cut < PartCommand
        on :recording, 'recording.cut'

        def decide
          editing!
          part('cut').tap { |draft| left!(draft.body) }
        end

        private

        def left!(body)
          left = Recording.new(sitting, edits: edits, more_cuts: [body.values_at(:from, :to)]).clock.length
          return if left >= LEAST

          raise Refusal.new(:nothing_left, 'Nothing would be left to watch. To take all of it away, stop sharing it.')
        end
      end
    end
  end
end
