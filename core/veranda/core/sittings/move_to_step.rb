# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Goes to a step of the run sheet; its board comes on show. Recording begins by itself at
      # the planned step, unless somebody has already switched it by hand.
      class MoveToStep < SittingCommand
        on :sitting, 'class.move'
        contract { required(:step).value(Types::ID) }

        def decide
          staff!('Only instructors and assistants move to another step.')
          going_on!
          raise Refusal.new(:no_such_step, 'That step is not on this run sheet.') unless sitting.step_by_id(input[:step])
          return if sitting.step&.fetch(:id) == input[:step]

          ['moved', { step: input[:step], record: record? || nil }.compact]
        end

        private

        def record?
          return false if sitting.record_by_hand || sitting.stretches.any? || sitting.record_from.nil?

          order = sitting.steps.map { |step| step[:id] }
          order.index(input[:step]) >= (order.index(sitting.record_from) || 0)
        end
      end
    end
  end
end
