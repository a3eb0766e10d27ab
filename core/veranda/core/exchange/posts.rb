# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # What was written to everyone in a place, in order; what staff pinned and parked of it.
      class Posts
        # A post: `{ id:, by:, name:, to:, text:, at: }`, with the id of a material in `file` where there is one; `reactions` are rows of
        # `{ person:, sign: }`, `parked` is `waiting` or `done`. One that was deleted has no text and says who deleted it in
        # `deleted_by`.
        # @return [Hash{String => Hash}] by id, oldest first
        attr_reader :posts
        # @return [Array<String>] ids of posts that stay in view, in the order in which they were pinned
        attr_reader :pinned

        # How many posts those who join late are sent, besides those that are pinned or parked; the rest is in the recording.
        RECENT = 200

        def initialize(posts = {}, pinned = [])
          @posts = posts
          @pinned = pinned
        end

        def initialize_copy(_other)
          super
          @posts = @posts.dup
        end

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          body = entry.body
          case entry.kind
          when 'posted' then @posts[body[:id]] = { **body, by: entry.actor, at: entry.at }
          when 'deleted' then delete(body[:id], entry.actor)
          when 'reacted' then change(body[:id]) { |post| reacted(post, entry.actor, body[:sign]) }
          when 'pinned' then @pinned = body[:on] ? @pinned | [body[:id]] : @pinned - [body[:id]]
          when 'parked' then change(body[:id]) { |post| post.except(:parked).merge(body.slice(:parked).compact) }
          end
          self
        end

        # @return [Integer] how much there is to write down
        def size = @posts.length

        def to_h = { posts: @posts.values, pinned: @pinned }

        def view
          older = @posts.values[..-(RECENT + 1)] || []
          { posts: older.select { |post| post[:parked] || @pinned.include?(post[:id]) } + @posts.values.last(RECENT), pinned: @pinned }
        end

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts) = new(by_id(facts[:posts]), facts[:pinned] || [])

        # @param rows [Array<Hash>]
        def self.by_id(rows) = rows.to_h { |post| [post[:id], post] }
        private_class_method :by_id

        private

        def change(id)
          post = @posts[id] or return
          @posts[id] = yield(post)
        end

        def delete(id, by)
          change(id) { |post| post.except(:text, :file, :reactions, :parked).merge(deleted_by: by) }
          @pinned -= [id]
        end

        # One reaction a person; without a sign it is taken back.
        def reacted(post, person, sign)
          others = (post[:reactions] || []).reject { |row| row[:person] == person }
          rows = sign ? [*others, { person: person, sign: sign }] : others
          rows.empty? ? post.except(:reactions) : post.merge(reactions: rows)
        end
      end
    end
  end
end
