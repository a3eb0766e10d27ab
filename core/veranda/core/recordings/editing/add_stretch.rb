# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Adds a stretch of the class that was not recorded: its boards and posts are there in any case. Sound and picture are not.
      class AddStretch < PartCommand
        on :recording, 'recording.add_stretch'

        def decide
          editing!
          part('stretch')
        end
      end
    end
  end
end
