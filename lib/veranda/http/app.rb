# frozen_string_literal: true

require 'rack'
require 'rack/protection'
require 'rack/session'

module Veranda
  module Http
    # The whole web server as one Rack application.
    module App
      # Requests that change something must come from our own pages and carry the token of
      # the session (`X-CSRF-Token`).
      GUARDS = [Rack::Protection::HttpOrigin, Rack::Protection::AuthenticityToken].freeze

      FORGED = JSON.generate(code: :stale_page, says: 'This page has been open for too long. Reload it and try again.')

      # s that a session lasts.
      SESSION_LASTS = 14 * 86_400

      module_function

      # @param archive [Store::Archive]
      # @param hub [Live::Hub]
      # @param aside [Aside::Pools]
      # @param secret [String] at least 64 bytes
      # @param root [String] folder of the built front end
      # @param secure [Boolean] whether cookies are for https alone
      # @param proxies [Array<String>] see {Address}
      # @return [#call]
      def build(archive:, hub:, aside:, secret:, root:, secure: false, proxies: [])
        pages = Pages.new(root)
        api = resources(archive, hub, aside)
        accounts = Accounts.over(archive.db, secret, aside)
        Rack::Builder.new do
          use Sane, proxies: proxies
          use Rack::Session::Cookie, key: 'veranda', secrets: secret, same_site: :lax, httponly: true, secure: secure,
                                     expire_after: SESSION_LASTS
          use Throttle
          map('/live') { run LiveSocket.new(archive, hub, secure: secure) }
          GUARDS.each { |guard| use guard, reaction: :deny, message: FORGED }
          use accounts
          run App.router(api, pages, archive.log)
        end.to_app
      end

      def resources(archive, hub, aside)
        [Sessions, Desk, Calendar, Agendas, Courses, Doors, Telephone, Conducting, Rooms, Polls, Questions, Lessons, Boards, Materials,
         Uploads,
         Recordings, RecordingEdits, RecordingLinks, RecordingWatching, RecordingExports, RecordingNotes].map do |resource|
          resource.new(archive: archive, hub: hub, aside: aside)
        end
      end

      NOTHING = [404, { 'content-type' => 'application/json' },
                 [JSON.generate(code: :not_found, says: 'There is nothing at this address.')]].freeze

      # Each resource answers for its own addresses; the first that knows one wins, also when it
      # answers that what was asked for is not there. What only reads is tried again when a connection to the database
      # turned out to be dead, since all that were at rest most likely are.
      def router(api, pages, log)
        lambda do |env|
          next pages.call(env) unless env['PATH_INFO'].start_with?('/api/')

          answer = ask(api, env)
          if env.delete('veranda.away')
            log.disconnect
            answer = ask(api, env) if env['REQUEST_METHOD'] == 'GET'
          end
          secured(answer || NOTHING)
        end
      end

      def ask(api, env)
        api.lazy.map { |resource| resource.call(env) }.find { |_, headers,| headers['x-cascade'] != 'pass' }
      end

      def secured((status, headers, body))
        [status, { 'cache-control' => 'no-store', 'x-content-type-options' => 'nosniff' }.merge(headers), body]
      end
    end
  end
end
