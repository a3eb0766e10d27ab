# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # Who may write to whom besides everyone. Staff may write to anyone and anyone to staff; students write to one another
      # where the rules of their place let them, and to those they are paired with.
      module Threads
        # What the words on a thread's posts say instead of `everyone`.
        TO = 'thread'

        private

        # @param people [Array<Hash>] `{ id: }` of those in a thread
        def may_write_to!(people)
          raise Refusal.new(:class_ended, 'This class has ended. Its posts stay as they are.') if sitting.ended?
          raise Refusal.new(:doors_closed, 'The doors are not open yet.') unless sitting.open?

          may! :threads if !paired?(people) && !by.staff? && people.any? { |one| one[:id] != by.id && !sitting.seats[one[:id]]&.staff? }
        end

        # @return [Boolean] whether all of them work together now
        def paired?(people)
          pair = scene.of(:own).pair or return false
          place.pairs&.fetch(:round) == pair[:round] && (people.map { |one| one[:id] } - pair[:people].map { |one| one[:id] }).empty?
        end

        # A thread of people who have all gone is read by nobody.
        # @param people [Array<Hash>] `{ id:, name: }`
        # @param staff [Boolean] whether all staff read it
        def somebody_here!(people, staff)
          others = people.reject { |one| one[:id] == by.id }
          return if staff || others.any? { |one| here?(one[:id]) }

          names = others.map { |one| one[:name] }.join(' and ')
          raise Refusal.new(:not_here, "#{names} left the class and would not read this. It is still in the box.")
        end

        def here?(id)
          seat = sitting.seats[id]
          !seat.nil? && !seat.left? && !seat.out?
        end
      end
    end
  end
end
