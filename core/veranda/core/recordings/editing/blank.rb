# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Hides what was written to everyone in a stretch, and what was asked; all else of it stays.
      class Blank < PartCommand
        on :recording, 'recording.blank'

        def decide
          editing!
          part('blank')
        end
      end
    end
  end
end
