# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Calls everybody but staff by numbers, wherever they are named; or by their names again.
      class HideNames < EditCommand
        on :recording, 'recording.hide_names'
        contract { required(:on).value(:bool) }

        def decide
          editing!
          entry('names_hidden', { on: input[:on] }) unless edits.names_hidden? == input[:on]
        end
      end
    end
  end
end
