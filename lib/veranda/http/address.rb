# frozen_string_literal: true

require 'ipaddr'

module Veranda
  module Http
    # From which address a request comes. What it says of that itself (`X-Forwarded-For`) counts only where it comes by a proxy that the
    # setting `PROXIES` names: anybody can write such a line.
    class Address
      # Lines by which a proxy says for whom it asks.
      FORWARDED = %w[HTTP_FORWARDED HTTP_X_FORWARDED_FOR HTTP_X_FORWARDED_HOST HTTP_X_FORWARDED_PROTO HTTP_X_FORWARDED_SCHEME
                     HTTP_X_FORWARDED_PORT HTTP_X_FORWARDED_SSL HTTP_CLIENT_IP].freeze

      # Whoever has one address of IPv6 has as many as they like; networks are given out whole (RFC 6177).
      NETWORK = 64

      # @param address [String]
      # @return [String] what all addresses of one network have in common, by which their tries are counted
      def self.network(address) = address.count(':') > 1 ? IPAddr.new(address).mask(NETWORK).to_s : address

      # @param proxies [Array<String>] addresses
      def initialize(proxies)
        @proxies = proxies
      end

      # Puts right what is known of the sender, so that nothing behind has to ask.
      # @param env [Hash] of the request, changed in place
      def settle(env)
        near = env['REMOTE_ADDR'].to_s
        return FORWARDED.each { |line| env.delete(line) } unless @proxies.include?(near)

        # The nearest proxy wrote the last; beyond the first that is none of ours nothing is known.
        said = env['HTTP_X_FORWARDED_FOR'].to_s.split(',').map(&:strip).reverse
        env['REMOTE_ADDR'] = said.find { |one| !@proxies.include?(one) } || near
      end
    end
  end
end
