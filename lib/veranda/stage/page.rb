# frozen_string_literal: true

module Veranda
  module Stage
    # What a page is told of sound and picture.
    class Page
      TAKEN_OVER = 'You are heard and seen in another window now.'
      private_constant :TAKEN_OVER

      # @param tell [#call] takes a message, see {Shapes::Messages}
      # @param relays [#call] gives the relays that it may use, see {Relays}
      def initialize(tell, relays: -> { [] })
        @tell = tell
        @relays = relays
      end

      # How things stand, unless that is what it was told last.
      # @param feeds [Feeds, nil] of the room that its person is in
      # @param hears [String, nil] id of another place that they hear
      def stands(up:, epoch:, place:, feeds:, hears: nil)
        told = { up: up, epoch: epoch, place: feeds && place, people: feeds ? feeds.to_a : [],
                 heard_by: feeds ? feeds.heard_by : [], hears: hears }
        @tell.call(t: 'stage', **(@told = told), speaking: feeds ? feeds.speaking : [], relays: @relays.call) unless told == @told
      end

      # Another page of the same person has what it had.
      def taken_over(up:, epoch:)
        @told = nil
        @tell.call(t: 'stage', up: up, epoch: epoch, place: nil, people: [], heard_by: [], hears: nil, speaking: [], relays: [],
                   says: TAKEN_OVER)
      end

      # @param sdp [String] the answer to its offer
      def sends(epoch, sdp) = @tell.call(t: 'sending', epoch: epoch, sdp: sdp)

      # @param sdp [String] the answer to its offer of a screen
      def shares(epoch, sdp) = @tell.call(t: 'sharing', epoch: epoch, sdp: sdp)

      # @param offer [Hash] `{ sdp:, slots: }` of what it is sent
      def receives(epoch, offer) = @tell.call(t: 'watching', epoch: epoch, **offer)

      # @param offer [Hash] `{ sdp:, slots: }` of what it hears of another place
      def hears(ear, offer) = @tell.call(t: 'hearing', ear: ear, **offer)

      # @param by [String] name of who has done it
      def muted(by) = @tell.call(t: 'muted', by: by)
    end
  end
end
