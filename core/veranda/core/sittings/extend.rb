# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Gives the present step more minutes, or takes some back.
      class Extend < SittingCommand
        on :sitting, 'class.extend'
        contract { required(:minutes).value(:integer, gteq?: -60, lteq?: 60) }

        def decide
          staff!('Only instructors and assistants change the time of a step.')
          going_on!
          raise Refusal.new(:no_step_yet, 'The first step has not begun.') unless sitting.step
          return if input[:minutes].zero?

          entry('extended', { step: sitting.step[:id], minutes: input[:minutes] })
        end
      end
    end
  end
end
