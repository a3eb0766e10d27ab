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
      FONT = 'rel=preload; as=font; type="font/woff2"'
      # Built files carry a hash in their name.
      FOREVER = 'public, max-age=31536000, immutable'

      # @param root [String] folder of the built front end
      def initialize(root)
        @root = root
        @files = Rack::Files.new(root)
        @preloads = preloads
      end

      def call(env)
        asset = env['PATH_INFO'].start_with?('/assets/')
        status, headers, body = asset ? compressed(env) : @files.call(env.merge('PATH_INFO' => '/index.html'))
        cache = asset && status == 200 ? FOREVER : 'no-cache'
        [status, headers.merge(HEADERS, 'cache-control' => cache, **(asset ? {} : preloading(env['PATH_INFO']))), body]
      end

      private

      # What the screen at an address needs, named with the page (RFC 8288), so that a browser fetches all of it at once.
      def preloading(path)
        links = @preloads.find { |begins, _| path.start_with?(begins) }&.last
        links ? { 'link' => links } : {}
      end

      # @return [Hash{String => String}] the header by the beginning of an address
      def preloads
        path = File.join(@root, 'preloads.json')
        return {} unless File.exist?(path)

        JSON.parse(File.read(path)).transform_values do |files|
          files.map { |file| "</#{file}>; #{file.end_with?('.woff2') ? FONT : 'rel=modulepreload'}; crossorigin" }.join(', ')
        end
      end

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
