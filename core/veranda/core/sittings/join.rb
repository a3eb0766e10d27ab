# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Someone's first connection, or their return. Staff come in at any time; others wait until the doors
      # open, or until staff let them in. Who comes back, comes back to the place they were in; who was sent out, waits; who was
      # removed, does neither.
      class Join < SittingCommand
        on :sitting, 'class.join'
        touches :staff, :waiting
        begins :own

        CAPACITY = 1_000
        REMOVED = 'You were asked to leave this class. Its instructor can let you back in.'

        def decide
          raise Refusal.new(:class_ended, 'This class has ended. Ask for the link to its recording.') if sitting.ended?
          raise Refusal.new(:removed, REMOVED) if plan.removed.key?(by.id)
          return if seat&.here?

          room! unless seat
          by.staff? || sitting.in?(by.id) || (sitting.open? && seat.nil? && !plan.each?) ? come_in : wait
        end

        private

        def come_in
          to = seat&.place || Places::MAIN
          [entry('joined', { people: [facts], place: to }), placed(to), no_more_waiting,
           (entry('host_came', { id: by.id, name: by.name }, on: :waiting) if by.staff?)]
        end

        def wait
          [(entry('waits', seat ? { **facts, held: true } : facts, on: :staff) unless plan.waiting.key?(by.id)), placed(Places::WAITING)]
        end

        def no_more_waiting
          entry('waits_no_more', { people: [by.id] }, on: :staff) if plan.waiting.key?(by.id)
        end

        def placed(place)
          entry('placed', { place: place }, on: :own) unless scene.of(:own).place == place
        end

        def facts = { id: by.id, name: by.name, role: by.role }

        def room!
          return if sitting.present.length + plan.waiting.length < CAPACITY

          raise Refusal.new(:class_full, "This class is full (#{CAPACITY} people).")
        end
      end
    end
  end
end
