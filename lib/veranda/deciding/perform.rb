# frozen_string_literal: true

module Veranda
  module Deciding
    # Carries out one command outside of any live lesson: from a request, a job or a script. Whoever is connected hears of
    # it as of anything that another process has added.
    #
    #   Perform.call(log, 'board.lay_slides', input, stream: 'board/7', by: Perform::HOUSE)
    module Perform
      # For what nobody asked for: the house itself does it.
      HOUSE = Core::Person.new(id: 'house', name: 'Veranda', role: 'assistant').freeze

      module_function

      # @param log [Store::Log]
      # @param wire_name [String]
      # @param input [Hash] with keys of either kind
      # @param at [Integer] ms since the epoch
      # @param order [Hash] as {Order.of} takes
      # @return [Outcome]
      # @raise [Core::Refusal]
      def call(log, wire_name, input, at: Process.clock_gettime(Process::CLOCK_REALTIME, :millisecond), by: HOUSE, **order)
        given = Order.of(wire_name, JSON.parse(JSON.generate(input)), by: by, **order)
        outcome = Performer.new(log).perform([given], at: at).first
        outcome.refusal ? raise(outcome.refusal) : outcome
      end
    end
  end
end
