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

      def initialize(app)
        @app = app
      end

      def call(env)
        return refuse(REFUSED) unless path?(env['PATH_INFO']) && query?(env['QUERY_STRING'])
        return refuse(UNREADABLE) if env['PATH_INFO'].start_with?('/auth/') && !form?(env)

        @app.call(env)
      end

      private

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

      def refuse(text) = [400, { 'content-type' => 'application/json', 'cache-control' => 'no-store' }, [text]]
    end
  end
end
