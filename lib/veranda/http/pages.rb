# frozen_string_literal: true

require 'rack/files'

module Veranda
  module Http
    # The built front end: its files as they are, and its one page for every other address.
    class Pages
      POLICY = [
        "default-src 'self'", "img-src 'self' data: blob:", "style-src 'self' 'unsafe-inline'", "connect-src 'self'",
        "object-src 'none'", "base-uri 'none'", "form-action 'self'", "frame-ancestors 'none'"
      ].join('; ').freeze
      HEADERS = { 'content-security-policy' => POLICY, 'x-content-type-options' => 'nosniff',
                  'referrer-policy' => 'same-origin', 'permissions-policy' => 'geolocation=(), payment=()' }.freeze
      # Built files carry a hash in their name.
      FOREVER = 'public, max-age=31536000, immutable'

      # @param root [String] folder of the built front end
      def initialize(root)
        @root = root
        @files = Rack::Files.new(root)
      end

      def call(env)
        asset = env['PATH_INFO'].start_with?('/assets/')
        status, headers, body = asset ? compressed(env) : @files.call(env.merge('PATH_INFO' => '/index.html'))
        cache = asset && status == 200 ? FOREVER : 'no-cache'
        [status, headers.merge(HEADERS, 'cache-control' => cache), body]
      end

      private

      # The build leaves a gzipped file beside each large one.
      def compressed(env)
        return @files.call(env) unless env['HTTP_ACCEPT_ENCODING'].to_s.include?('gzip')

        status, headers, body = @files.call(env.merge('PATH_INFO' => "#{env['PATH_INFO']}.gz"))
        return @files.call(env) unless status == 200

        type = Rack::Mime.mime_type(File.extname(env['PATH_INFO']))
        [status, headers.merge('content-encoding' => 'gzip', 'content-type' => type, 'vary' => 'accept-encoding'), body]
      end
    end
  end
end
