# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Someone's first connection, or their return. Before the doors open they wait.
      class Join < SittingCommand
        on :sitting, 'class.join'

        CAPACITY = 1_000

        def decide
          raise Refusal.new(:class_ended, 'This class has ended. Ask for the link to its recording.') if sitting.ended?

          seat = sitting.seats[by.id]
          return if seat&.here?

          full! unless seat

          ['joined', { name: by.name, role: by.role }]
        end

        private

        def full!
          return if sitting.present.length < CAPACITY

          raise Refusal.new(:class_full, "This class is full (#{CAPACITY} people).")
        end
      end
    end
  end
end
