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

      # @param rights [Hash{Symbol => Boolean}] those of the class, and `:screen`
      # @param recorded [Boolean]
      def stand(rights, recorded)
        @rights = rights
        @recorded = recorded
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
        @rights[:screen] ? screen(visit.screen) : visit.unshare
      end

      # @param sending [Sending, nil] of a screen
      def screen(sending)
        sending&.allow(@rights)
        sending&.record(@recorded)
      end
    end
  end
end
