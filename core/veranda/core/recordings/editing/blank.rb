# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Hides what was written to everyone in a stretch, and what was asked; all else of it stays.
      class Blank < EditCommand
        on :recording, 'recording.blank'
        contract do
          required(:id).value(Types::ID)
          required(:from).value(:integer, :moment?)
          required(:to).value(:integer, :moment?)
        end

        def decide
          editing!
          part('blank')
        end
      end
    end
  end
end
