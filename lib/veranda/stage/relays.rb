# frozen_string_literal: true

require 'base64'
require 'openssl'

module Veranda
  module Stage
    # Servers that pass sound and picture on for those whose network lets nothing else through (TURN, RFC 8656). Everybody gets a name and a
    # password of their own that hold for a few hours: a key that both servers know signs the name, as relays with a shared secret check it.
    class Relays
      include Terse

      # s
      LASTS = 6 * 3_600

      # @param urls [Array<String>] `turn:…`
      # @param secret [String]
      # @param clock [#call] s since the epoch
      def initialize(urls, secret, clock: -> { Time.now.to_i })
        @urls = urls
        @secret = secret
        @clock = clock
      end

      # @param person [String] id
      # @return [Array<Hash>] `{ urls:, username:, credential: }`, as browsers take them
      def of(person)
        return [] if @urls.empty?

        name = "#{@clock.call + LASTS}:#{person}"
        [{ urls: @urls, username: name, credential: Base64.strict_encode64(OpenSSL::HMAC.digest('SHA1', @secret, name)) }]
      end
    end
  end
end
