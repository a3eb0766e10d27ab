# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Takes a cut, a blank or an added stretch back: all is again as it was without.
      class TakeBack < EditCommand
        on :recording, 'recording.take_back'
        contract { required(:id).value(Types::ID) }

        def decide
          editing!
          entry('part_taken_back', { id: input[:id] }).tap { left! } if edits.parts.key?(input[:id])
        end

        private

        # What is left may be what was added.
        def left!
          others = Edits.from(edits.to_h.merge(parts: edits.to_h[:parts].reject { |part| part[:id] == input[:id] }))
          return if Recording.new(sitting, edits: others).clock.length >= LEAST

          raise Refusal.new(:nothing_left, 'Nothing would be left to watch. Take the cuts back first.')
        end
      end
    end
  end
end
