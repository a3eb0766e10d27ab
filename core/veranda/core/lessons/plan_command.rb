# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # What the commands on a lesson's plan share. `seen` in their input is the number of the last entry of the plan that whoever asks had
      # before them: what somebody else has set since then stays theirs.
      class PlanCommand < Command
        private

        def teacher! = staff!('Only instructors and assistants change the plan of a lesson.')

        # @return [Hash]
        # @raise [Refusal] `no_such_step`
        def step!(id = input[:step])
          state.step(id) || raise(Refusal.new(:no_such_step, 'That step was taken out meanwhile.'))
        end

        # @param id [String, nil] of a step; nil for the lesson itself
        # @param now [Hash] as it is
        # @param fields [Hash] as they are wished
        # @return [Hash] what of it changes something, and nothing that somebody else has set since
        def fresh(id, now, fields)
          theirs = state.set_since(id, fields.keys, seen: input[:seen], by: by.id)
          fields.reject { |field, value| now[field] == value || theirs.include?(field) }
        end
      end
    end
  end
end
