# frozen_string_literal: true

require 'net/http'
require 'timeout'
require 'uri'

module Veranda
  module Preparing
    # A video on a site elsewhere, as far as it can be played here: its page says where the video itself is, and how long (Open Graph,
    # https://ogp.me: `og:video`, `video:duration`). Only pages of sites that are known are looked at, and only what lies on such a site
    # is played. Asks the site: use it in a process beside.
    class LinkedVideo
      # s to wait, and bytes of a page that are read.
      PATIENCE = 5
      MOST = 200_000
      # s
      LONGEST = Core::Sittings::Clip::LONGEST / 1_000
      KINDS = { 'og:video' => /\A[^\s"<>]{1,800}\z/, 'video:duration' => /\A\d{1,6}(\.\d{1,3})?\z/ }.freeze

      UNKNOWN = 'Videos of that site are not played here. Open the link and share your screen with its sound instead.'
      UNREADABLE = 'That page does not say where its video is. Open the link and share your screen with its sound instead.'
      private_constant :UNKNOWN, :UNREADABLE

      # @param sites [Array<String>] what addresses of pages begin with
      def initialize(sites)
        @sites = sites.map { |site| URI(site) }
      end

      # @param link [String] address of a page
      # @return [Hash] `{ address:, length: }`, ms
      # @raise [Core::Refusal] `link_not_played`
      def look(link)
        uri = URI(link)
        raise refusal(UNKNOWN) unless known?(uri)

        # A site that answers a little at a time is not waited for either.
        facts = facts_of(Timeout.timeout(2 * PATIENCE) { page(uri) })
        video = URI.join(uri, facts.fetch('og:video'))
        length = (Float(facts.fetch('video:duration')) * 1_000).round
        raise refusal(UNREADABLE) unless known?(video) && length.between?(1, LONGEST * 1_000)

        { address: video.to_s, length: length }
      rescue KeyError, URI::Error, ArgumentError
        raise refusal(UNREADABLE)
      rescue SystemCallError, IOError, Timeout::Error, SocketError, OpenSSL::SSL::SSLError, Net::HTTPBadResponse
        raise refusal('The site of that video cannot be reached just now. Try again, or open the link.')
      end

      private

      def refusal(says) = Core::Refusal.new(:link_not_played, says)

      def known?(uri)
        return false if uri.path.to_s.include?('..') || uri.userinfo

        @sites.any? do |site|
          next false unless site.scheme == uri.scheme && site.host == uri.host

          (site.port == uri.port || any_port?(site)) && uri.path.to_s.start_with?(site.path)
        end
      end

      # The stand-in lies on whatever port we are.
      def any_port?(site) = site.host == '127.0.0.1'

      def page(uri)
        Net::HTTP.start(uri.host, uri.port, use_ssl: uri.scheme == 'https', open_timeout: PATIENCE, read_timeout: PATIENCE) do |http|
          text = +''
          http.request_get(uri.request_uri) do |answer|
            raise refusal(UNREADABLE) unless answer.is_a?(Net::HTTPOK)

            answer.read_body { |part| (text << part).bytesize > MOST and raise refusal(UNREADABLE) }
          end
          text.force_encoding(Encoding::UTF_8).scrub
        end
      end

      # @return [Hash{String => String}] those that are well made
      def facts_of(page)
        page.scan(/<meta\s+property="([a-z:]{1,40})"\s+content="([^"]{0,900})"/).select { |name, text| KINDS[name]&.match?(text) }.to_h
      end
    end
  end
end
