# frozen_string_literal: true

module Veranda
  module Http
    # The first thing every request meets: addresses, searches and sign-ins must be made of text that can be read and stored.
    # Whatever is not is refused here, once, so that nothing behind has to ask.
    class Sane
      BODY_LIMIT = 16 * 1024
      REFUSED = JSON.generate(code: :bad_input, says: 'This address could not be read. Go back and try again.')
      UNREADABLE = JSON.generate(code: :bad_input, says: 'This could not be read. Fill the form in again.')
      # Names of a search are plain words; none of ours is a list.
      NAME = /\A[a-z_]{1,20}\z/

      # What bodies may be: JSON, or a file or a piece of one as it is. Nothing here reads a form.
      BODIES = %r{\A(?:application/(?:json|octet-stream|offset\+octet-stream)|text/vtt)\s*(?:;|\z)}i
      NOT_A_BODY = JSON.generate(code: :bad_input, says: 'What was sent is of a kind that is not read here.')

      # @param proxies [Array<String>] see {Address}
      def initialize(app, proxies: [])
        @app = app
        @address = Address.new(proxies)
      end

      def call(env)
        @address.settle(env)
        return refuse(NOT_A_BODY, 415) unless body?(env['CONTENT_TYPE'].to_s)
        return refuse(REFUSED) unless path?(env['PATH_INFO']) && query?(env['QUERY_STRING'])
        return refuse(UNREADABLE) if env['PATH_INFO'].start_with?('/auth/') && !form?(env)

        @app.call(env)
      end

      private

      def body?(type) = type.empty? || BODIES.match?(type)
      def path?(path) = readable?(path) && !path.include?('//')

      def query?(query)
        query.to_s.split('&').all? do |part|
          name, value = part.split('=', 2)
          name.nil? || (NAME.match?(name) && readable?(value.to_s.tr('+', ' ')))
        end
      end

      def readable?(text)
        Core::PlainText.well_formed?(Rack::Utils.unescape_path(text).force_encoding(Encoding::UTF_8))
      rescue ArgumentError
        false
      end

      # Signing in takes a flat JSON object of strings; what it holds is left for whoever counts tries.
      def form?(env)
        return true unless env['REQUEST_METHOD'] == 'POST'

        text = env['rack.input']&.read(BODY_LIMIT + 1).to_s
        facts = text.empty? ? {} : Core::PlainText.parse(text)
        return false unless text.bytesize <= BODY_LIMIT && facts.is_a?(Hash) && facts.values.all?(String)

        env['rack.input'] = StringIO.new(text)
        env['veranda.form'] = facts
        true
      rescue Core::Refusal
        false
      end

      def refuse(text, status = 400) = [status, { 'content-type' => 'application/json', 'cache-control' => 'no-store' }, [text]]
    end
  end
end
