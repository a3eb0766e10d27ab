# frozen_string_literal: true

require 'json'
require 'net/http'

module Veranda
  module StandIns
    # How stand-ins from outside speak to the pages' addresses.
    class Web
      # @return [String, nil] what they are known by
      attr_reader :cookie

      # @param address [String] `http://…`
      def initialize(address)
        @uri = URI(address)
      end

      # @return [Hash] the answer, with string keys
      # @raise [RuntimeError] with what was said when it was refused
      def post(path, body = {}, headers = {})
        token = request(Net::HTTP::Get.new('/api/session'))['csrf']
        headers = { 'X-CSRF-Token' => token, 'Content-Type' => 'application/json', **headers }
        request(Net::HTTP::Post.new(path, headers), JSON.generate(body))
      end

      private

      def request(request, body = nil)
        request['Cookie'] = @cookie if @cookie
        request.body = body
        response = Net::HTTP.start(@uri.host, @uri.port) { |http| http.request(request) }
        @cookie = response['set-cookie'].split(';').first if response['set-cookie']
        facts = JSON.parse(response.body)
        raise facts['says'].to_s unless response.is_a?(Net::HTTPSuccess)

        facts
      end
    end
  end
end
