# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # What the commands on one post share.
      class PostCommand < Command
        looks_at :sitting, :place

        private

        # @return [Hash] the post that the command names
        def post!
          raise Refusal.new(:class_ended, 'This class has ended. Its posts stay as they are.') if sitting&.ended?

          state.posts[input[:id]] || raise(Refusal.new(:no_such_post, 'That post is not in this exchange.'))
        end

        # @return [Hash] the same, while there is something to read in it
        def standing_post!
          post!.tap { |post| raise Refusal.new(:no_such_post, 'That post was deleted.') if post[:deleted_by] }
        end
      end
    end
  end
end
