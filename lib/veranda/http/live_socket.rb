# frozen_string_literal: true

require 'async/websocket/adapters/rack'

module Veranda
  module Http
    # Where a browser's WebSocket comes in. Only pages from this very address may open one, and
    # only for someone who is signed in or was let in by a link.
    class LiveSocket
      # @param archive [Store::Archive]
      # @param hub [Live::Hub]
      # @param secure [Boolean] whether the site is served by https
      def initialize(archive, hub, secure: false)
        @archive = archive
        @hub = hub
        @secure = secure
      end

      def call(env)
        return refuse(403, 'This address is for pages of Veranda itself.') unless own_origin?(env)

        visitor = visitor_of(env)
        return refuse(401, 'Please sign in first.') unless visitor.person

        converse(env, visitor) || refuse(426, 'This address speaks WebSocket only.')
      rescue *Store::Database::AWAY
        refuse(503, 'Veranda cannot reach its database for a moment. It is tried again by itself.')
      end

      private

      # When one connection to the database turned out to be dead, all that were at rest most likely are.
      def visitor_of(env)
        Visitor.new(env['rack.session'], @archive).tap(&:person)
      rescue Sequel::DatabaseDisconnectError
        @archive.log.disconnect
        Visitor.new(env['rack.session'], @archive).tap(&:person)
      end

      def own_origin?(env)
        origin = env['HTTP_ORIGIN'] or return false
        uri = URI.parse(origin)
        uri.scheme == scheme(env) && [uri.host, uri.port].compact.join(':') == host_and_port(env)
      rescue URI::InvalidURIError
        false
      end

      def host_and_port(env)
        host, port = env['HTTP_HOST'].to_s.split(':')
        "#{host}:#{port || (scheme(env) == 'https' ? 443 : 80)}"
      end

      # Behind a server that ends TLS, requests come to us by plain http.
      def scheme(env) = @secure ? 'https' : env['rack.url_scheme']

      def converse(env, visitor)
        @hub.start
        socket = Departure.socket(env)
        # No compression: frames are made once for everyone.
        Async::WebSocket::Adapters::Rack.open(env, handler: Live::WebSocketLine, extensions: nil) do |line|
          line.socket = socket
          Live::Peer.new(line, visitor.person[:id], @hub, session_id: visitor.session_id).run(Async::Task.current)
        end
      end

      def refuse(status, says)
        [status, { 'content-type' => 'application/json' }, [JSON.generate(code: :refused, says: says)]]
      end
    end
  end
end
