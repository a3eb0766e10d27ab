# frozen_string_literal: true

module Veranda
  module Stage
    # What somebody may send, what of it they have switched on, and whether it is recorded: it holds over each new beginning.
    class Allowed
      # @return [Hash{Symbol => Boolean}]
      attr_reader :rights

      def initialize
        @rights = {}
        @on = {}
      end

      # @param standing [Standing]
      def stand(standing)
        @rights = rights = standing.rights
        @recorded = standing.recorded
        @address = standing.address || {}
        @on = @on.select { |switch, _| rights[Sending.right_of(switch)] }
      end

      # @param switch [Symbol] one of {Sending::SWITCHES}
      def switch(switch, on) = on && @rights[Sending.right_of(switch)] ? @on[switch] = true : @on.delete(switch)

      # @return [Boolean] whether it was on
      def off(switch) = !@on.delete(switch).nil?

      # Has it hold for what is sent now.
      # @param visit [Visit]
      # @raise [Link::Away, Link::Refused]
      def apply(visit)
        visit.sending.allow(@rights)
        Sending::SWITCHES.each { |switch| visit.sending.switch(switch, @on[switch] || false) }
        visit.sending.record(@recorded)
        visit.sending.carry(places_of(:voice))
        @rights[:screen] ? screen(visit.screen) : visit.unshare
      end

      # @param sending [Sending, nil] of a screen
      def screen(sending)
        sending&.allow(@rights)
        sending&.record(@recorded)
        sending&.carry(places_of(:screen))
      end

      private

      def places_of(what) = @address[what] ? @address[:rooms] : []
    end
  end
end
