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
          optional(:file).value(Types::ID)
        end

        # @param post [Hash] `{ id:, text:, file: }`; with a file there need be no text
        # @param posts [Posts] that it is to join
        # @return [Hash] the same, fit to be stored
        # @raise [Refusal] `post_empty`, `post_too_long`, `post_exists`
        def self.fit(post, posts)
          text = post[:text].strip
          raise Refusal.new(:post_empty, 'There is nothing written yet.') if text.empty? && post[:file].nil?
          raise too_long(text.length) if text.length > LIMIT
          raise Refusal.new(:post_exists, 'That post has been sent already.') if posts.posts.key?(post[:id])

          { id: post[:id], text: text, file: post[:file] }.compact
        end

        def self.too_long(length)
          Refusal.new(:post_too_long, "A post has up to #{LIMIT} characters; this one has #{length}. It is still in the box.")
        end
        private_class_method :too_long

        def decide
          may! :post
          may! :bring if input[:file]
          post = WritePost.fit(input, state)
          entry('posted', { id: post[:id], to: 'everyone', name: by.name, **post.slice(:text, :file) })
        end
      end
    end
  end
end
