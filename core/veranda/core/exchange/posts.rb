# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # The posts of one class, in order.
      class Posts
        # A post: `{ id:, by:, name:, to:, text:, at: }`, where `to` is `everyone` for now; one
        # that was deleted has no text and says who deleted it in `deleted_by`.
        # @return [Hash{String => Hash}] by id, oldest first
        attr_reader :posts

        # How many posts those who join late are sent; the rest is in the recording.
        RECENT = 200

        def initialize(posts = {})
          @posts = posts
        end

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          case entry.kind
          when 'posted'
            @posts[entry.body[:id]] = { **entry.body, by: entry.actor, at: entry.at }
          when 'deleted'
            post = @posts[entry.body[:id]]
            @posts[entry.body[:id]] = post.except(:text).merge(deleted_by: entry.actor) if post
          end
          self
        end

        # @return [Integer] how much there is to write down
        def size = @posts.length

        def to_h = { posts: @posts.values }
        def view = { posts: @posts.values.last(RECENT) }

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts) = new(facts[:posts].to_h { |post| [post[:id], post] })
      end
    end
  end
end
