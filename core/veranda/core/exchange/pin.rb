# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # Keeps a post in view above the others, or no more.
      class Pin < PostCommand
        MOST = 3

        on :exchange, 'exchange.pin'
        contract do
          required(:id).value(Types::ID)
          required(:on).value(:bool)
        end

        def decide
          staff!('Only instructors and assistants pin posts.')
          input[:on] ? standing_post! : post!
          return if state.pinned.include?(input[:id]) == input[:on]
          if input[:on] && state.pinned.length >= MOST
            raise Refusal.new(:pinned_full,
                              "Up to #{MOST} posts stay in view. Take one down first.")
          end

          entry('pinned', input)
        end
      end
    end
  end
end
