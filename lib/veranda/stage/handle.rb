# frozen_string_literal: true

module Veranda
  module Stage
    # One end at the media server: what somebody sends, or all that they are sent.
    class Handle
      PLUGIN = 'janus.plugin.videoroom'

      # @param link [Link]
      # @param session [Integer]
      # @return [Handle]
      def self.attach(link, session)
        new(link, session, link.ask(janus: 'attach', session_id: session, plugin: PLUGIN).dig(:data, :id))
      end

      # @return [Integer]
      attr_reader :id

      def initialize(link, session, id)
        @link = link
        @session = session
        @id = id
      end

      # @param request [String]
      # @param sdp [Array(String, String), nil] its type, and itself
      # @return [Array(Hash, String)] what the room says, and the SDP that came with it
      # @raise [Link::Away, Link::Refused]
      def ask(request, sdp: nil, **body)
        jsep = sdp && { type: sdp.first, sdp: sdp.last }
        facts = @link.ask(janus: 'message', session_id: @session, handle_id: @id, body: { request: request, **body },
                          **{ jsep: jsep }.compact)
        [facts.dig(:plugindata, :data), facts.dig(:jsep, :sdp)]
      end

      # @param candidate [Hash] one way on which the browser can be reached; `{ completed: true }` when there are no more
      def trickle(candidate)
        @link.tell(janus: 'trickle', session_id: @session, handle_id: @id, candidate: candidate)
      end

      def detach = @link.ask(janus: 'detach', session_id: @session, handle_id: @id)
    end
  end
end
