# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # Deletes one's own post; staff may delete any. That there was one stays visible.
      class DeletePost < Command
        on :exchange, 'exchange.delete'
        looks_at :sitting, :place
        contract { required(:id).value(Types::ID) }

        def decide
          raise Refusal.new(:class_ended, 'This class has ended. Its posts stay as they are.') if sitting&.ended?

          post = state.posts[input[:id]]
          raise Refusal.new(:no_such_post, 'That post is not in this exchange.') unless post
          return if post[:deleted_by]
          raise Refusal.new(:not_your_post, 'Only your own posts can be deleted.') unless by.staff? || post[:by] == by.id

          entry('deleted', { id: input[:id] })
        end
      end
    end
  end
end
