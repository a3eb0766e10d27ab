# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Someone's first connection, or their return. Staff come in at any time; others wait until the doors
      # open, or until staff let them in. Who comes back, comes back to the place they were in; while rooms are open, to theirs
      # ({Rooms::Standing}); who was sent out, waits; who was removed, does neither. A
      # guest who comes by the link of one who was removed may be the same person: staff are told, and let them in or do not. Who plays
      # another part in the course than when they came, is seen as that from now on.
      class Join < SittingCommand
        include Rooms::Standing

        on :sitting, 'class.join'
        touches :staff, :waiting
        begins :own
        # `link_of` is the name of a guest who came by the same link and was removed.
        contract { optional(:link_of).filled(:string) }

        CAPACITY = 1_000
        REMOVED = 'You were asked to leave this class. Its instructor can let you back in.'

        def decide
          raise Refusal.new(:class_ended, 'This class has ended.') if sitting.ended?
          raise Refusal.new(:removed, REMOVED) if plan.removed.key?(by.id)
          return if seat&.here? && seat.role == by.role

          room! unless seat
          by.staff? || sitting.in?(by.id) || let_in_at_once? ? come_in : wait
        end

        private

        def let_in_at_once? = sitting.open? && seat.nil? && !plan.each? && !input[:link_of]

        def come_in
          to, noted = comes_back? ? [seat.place, nil] : standing(by.id, staff: by.staff?)
          [entry('joined', { people: [facts], place: to }), placed(to), no_more_waiting, noted,
           (entry('host_came', { id: by.id, name: by.name }, on: :waiting) if by.staff?)]
        end

        # Rooms that were closed meanwhile are no places any more; and who was in the main room may belong to a room by now.
        def comes_back? = seat && sitting.place?(seat.place) && (by.staff? || seat.place != Places::MAIN)

        def wait
          [(entry('waits', { **facts, **held }, on: :staff) unless plan.waiting.key?(by.id)), placed(Places::WAITING)]
        end

        # Who does not come in by themselves once the doors are open.
        def held = seat || input[:link_of] ? { held: true, **input.slice(:link_of) } : {}

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
