# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # Writes to everyone in a place of the class.
      class WritePost < Command
        LIMIT = 2_000

        on :exchange, 'exchange.post'
        looks_at :sitting, :place
        contract do
          required(:id).value(Types::ID)
          required(:text).value(:string)
        end

        def decide
          may! :post
          text = input[:text].strip
          raise Refusal.new(:post_empty, 'There is nothing written yet.') if text.empty?
          raise too_long(text.length) if text.length > LIMIT
          raise Refusal.new(:post_exists, 'That post has been sent already.') if state.posts.key?(input[:id])

          entry('posted', { id: input[:id], to: 'everyone', name: by.name, text: text })
        end

        private

        def too_long(length)
          Refusal.new(:post_too_long, "A post has up to #{LIMIT} characters; this one has #{length}. It is still in the box.")
        end
      end
    end
  end
end
