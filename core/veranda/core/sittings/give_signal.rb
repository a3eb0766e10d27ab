# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # One tap: done, yes, slower … Without a signal, the one that was given is taken back. When all are done, a timer that
      # was set to end then is put away.
      class GiveSignal < SittingCommand
        on :place, 'class.signal'
        contract { optional(:signal).value(:string, included_in?: Signals::KINDS) }

        def decide
          going_on!
          in_here!
          return if place.signals.dig(by.id, :signal) == signal && !Signals::PASSING.key?(signal)
          raise Refusal.new(:for_students, 'That signal is for students.') if signal && by.staff? && !Signals::STAFF.include?(signal)

          signal ? [entry('signalled', { signal: signal }), *over] : entry('signal_off', { people: [by.id] })
        end

        private

        def signal = input[:signal]

        def over
          ends = signal == Signals::DONE && !by.staff? && place.timer&.fetch(:until_done, false)
          ends && Signals.all_done?(sitting, here, place, by.id) ? [entry('timer_stopped')] : []
        end
      end
    end
  end
end
