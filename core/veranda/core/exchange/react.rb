# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # Sets a sign to a post, one a person; without a sign it is taken back.
      class React < PostCommand
        SIGNS = %w[agree thanks good puzzled].freeze

        on :exchange, 'exchange.react'
        contract do
          required(:id).value(Types::ID)
          optional(:sign).value(:string, included_in?: SIGNS)
        end

        def decide
          post = standing_post!
          raise Refusal.new(:reactions_off, 'Signs on posts are switched off in this class.') unless place.reactions
          raise Refusal.new(:doors_closed, 'The doors are not open yet.') unless sitting.open? || by.staff?

          mine = (post[:reactions] || []).find { |row| row[:person] == by.id }&.fetch(:sign)
          entry('reacted', { id: input[:id], sign: input[:sign] }) unless mine == input[:sign]
        end
      end
    end
  end
end
