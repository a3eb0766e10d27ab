# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # Keeps a post in a list for later, ticks it off there, or takes it out again.
      class Park < PostCommand
        STATES = %w[waiting done].freeze

        on :exchange, 'exchange.park'
        contract do
          required(:id).value(Types::ID)
          optional(:parked).value(:string, included_in?: STATES)
        end

        def decide
          staff!('Only instructors and assistants park posts.')
          post = standing_post!
          entry('parked', { id: input[:id], parked: input[:parked] }) unless post[:parked] == input[:parked]
        end
      end
    end
  end
end
