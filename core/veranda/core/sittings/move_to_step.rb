# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Goes to a step of the run sheet; in the main room its board comes on show, its rules are in force, signals are cleared and pairs are
      # over. A board for staff does not come on show. Recording begins by itself at the planned step, unless somebody has
      # already switched it by hand.
      class MoveToStep < SittingCommand
        on :sitting, 'class.move'
        touches :main
        looks_at :staff
        contract { required(:step).value(Types::ID) }

        def decide
          staff!('Only instructors and assistants move to another step.')
          going_on!
          raise Refusal.new(:no_such_step, 'That step is not on this run sheet.') unless sitting.step_by_id(input[:step])
          return if sitting.step&.fetch(:id) == input[:step]

          [entry('moved', { step: input[:step] }), (entry('recording', { on: true, planned: true }) if record?), *board, *rules,
           (entry('signals_cleared', on: :main) if scene.of(:main).signals.any?), (entry('pairs_over', on: :main) if scene.of(:main).pairs)]
        end

        private

        def step = plan.step(input[:step]) || {}

        def board
          return [] unless step[:board] && plan.open_board(step[:board])

          [entry('shown', { board: step[:board], page: plan.first_page(step[:board]) }, on: :main)]
        end

        def rules = step[:rules] ? [entry('rules_set', { rules: step[:rules] }, on: :main)] : []

        def record?
          return false if sitting.record_by_hand || sitting.stretches.any? || plan.record_from.nil?

          order = sitting.steps.map { |one| one[:id] }
          order.index(input[:step]) >= (order.index(plan.record_from) || 0)
        end
      end
    end
  end
end
