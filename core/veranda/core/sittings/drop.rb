# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Someone's last connection went away; their seat and hand are kept for {Seat::GRACE}. Who waits and goes away, waits no more.
      class Drop < SittingCommand
        on :sitting, 'class.drop'
        touches :staff, :waiting
        # Since when they were as the server saw them, in ms; nothing happens when they have come back since.
        contract { optional(:since).value(:integer) }

        def decide
          return if sitting.ended? || changed_since?
          return entry('waits_no_more', { people: [by.id] }, on: :staff) if plan.waiting.key?(by.id)

          [entry('dropped'), host_went] if seat&.here?
        end

        private

        def changed_since?
          now = seat&.since || plan.waiting.dig(by.id, :since)
          !input[:since].nil? && input[:since] != now
        end

        def host_went
          here = scene.of(:waiting).hosts.any? { |host| host[:id] == by.id }
          entry('host_went', { id: by.id }, on: :waiting) if here
        end
      end
    end
  end
end
