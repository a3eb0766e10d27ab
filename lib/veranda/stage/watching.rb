# frozen_string_literal: true

module Veranda
  module Stage
    # All that one person hears and sees of a media room: one connection with a slot for each sound and picture, which are filled and
    # emptied as people come and go. The browser answers each change before the next is made.
    class Watching
      # @param handle [Handle]
      # @param room [Room]
      # @param private_id [Integer] that somebody got when they joined
      def initialize(handle, room, private_id)
        @handle = handle
        @room = room
        @private_id = private_id
        @slots = []
      end

      # @return [Handle]
      attr_reader :handle

      # @param wanted [Array<Array(String, String)>] see {Feeds#wanted}
      # @return [Hash, nil] `{ sdp:, slots: [{ mid:, person:, kind: }] }`, an offer to the browser; nil while all is as it should be, or the
      #   browser has yet to answer
      def change(wanted)
        return if @asked

        gone = filled.reject { |slot| wanted.include?(fed(slot)) }
        missing = wanted - filled.map { |slot| fed(slot) }
        return if gone.empty? && missing.empty?

        facts, sdp = @slots.empty? ? begin_with(missing) : update(gone, missing)
        @slots = facts[:streams] || @slots
        return unless sdp

        @asked = true
        { sdp: sdp, slots: filled.map { |slot| { mid: slot[:mid], person: slot[:feed_id], kind: slot[:type] } } }
      end

      # @param sdp [String] what the browser answers
      def answered(sdp)
        return unless @asked

        @handle.ask('start', sdp: ['answer', sdp])
      ensure
        @asked = false
      end

      private

      def filled = @slots.select { |slot| slot[:active] }
      def fed(slot) = slot.values_at(:feed_id, :feed_mid)

      def begin_with(missing) = @room.watch(@handle, @private_id, missing.map { |feed, mid| { feed: feed, mid: mid } })

      def update(gone, missing)
        wishes = { unsubscribe: gone.map { |slot| { sub_mid: slot[:mid] } }, subscribe: missing.map do |feed, mid|
          { feed: feed, mid: mid }
        end }
        @handle.ask('update', **wishes.reject { |_, rows| rows.empty? })
      end
    end
  end
end
