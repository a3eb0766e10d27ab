# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # Deletes one's own post; staff may delete any. That there was one stays visible.
      class DeletePost < PostCommand
        on :exchange, 'exchange.delete'
        contract { required(:id).value(Types::ID) }

        def decide
          post = post!
          return if post[:deleted_by]
          raise Refusal.new(:not_your_post, 'Only your own posts can be deleted.') unless by.staff? || post[:by] == by.id

          entry('deleted', { id: input[:id] })
        end
      end
    end
  end
end
