# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # What the commands on a class share.
      class SittingCommand < Command
        private

        def sitting = state

        def going_on!
          raise Refusal.new(:class_ended, 'This class has ended.') if sitting.ended?
          raise Refusal.new(:doors_closed, 'The doors are not open yet.') unless sitting.open?
        end
      end
    end
  end
end
