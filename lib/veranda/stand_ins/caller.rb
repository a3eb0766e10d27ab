# frozen_string_literal: true

require 'async'
require 'async/http/endpoint'
require 'async/websocket/client'

module Veranda
  module StandIns
    # A stand-in that comes from outside, over HTTP and a real WebSocket, by a class link: for
    # load, and for filling a class on another machine.
    class Caller
      # @param address [String] `http://…` of a Veranda
      # @param token [String] of a class link
      # @param name [String]
      # @param rng [Random]
      def initialize(address, token, name:, rng:)
        @address = address
        @web = Web.new(address)
        @token = token
        @name = name
        @rng = rng
      end

      # Comes in, acts, and says goodbye.
      # @param seconds [Numeric]
      # @param pace [Numeric] mean seconds between two acts
      def call(seconds:, pace:)
        sitting_id = come_in
        endpoint = Async::HTTP::Endpoint.parse("#{@address.sub('http', 'ws')}/live")
        Async::WebSocket::Client.connect(endpoint, headers: [['cookie', @web.cookie], ['origin', @address]]) do |socket|
          @socket = socket
          say(t: 'hello', v: Live::Protocol::VERSION, sitting: sitting_id)
          listener = Async { listen }
          Student.new(self, look: -> { look }, rng: @rng, pace: pace).act(seconds)
          listener.stop
        end
      end

      # @param facts [Hash]
      def say(**facts)
        @socket.write(JSON.generate(facts))
        @socket.flush
      end

      private

      # Follows the class and its main room, as far as it is let in.
      def listen
        @states = {}
        while (message = @socket.read)
          facts = JSON.parse(message.buffer, symbolize_names: true)
          case facts[:t]
          when 'welcome' then facts[:streams].each { |part| learn(part) }
          when 'gained' then learn(facts)
          when 'lost' then @states.delete(facts[:stream])
          when 'entry' then follow(facts)
          end
        end
      end

      FOLLOWED = %r{\A(sitting/|poll/|place/.*\.main\z)}
      private_constant :FOLLOWED

      def learn(part)
        return unless FOLLOWED.match?(part[:stream]) && part[:view]

        @states[part[:stream]] = Core::Streams::Fold.restore(part[:stream], part[:view])
      end

      def follow(facts)
        @states[facts[:stream]]&.apply(Core::Streams::Entry.new(at: facts[:at], actor: facts[:by], kind: facts[:kind], body: facts[:body]))
      end

      # The class as it is now; a poll that is talked over may take answers since.
      def look
        sitting = @states.each_value.grep(Core::Sittings::Sitting).first
        stream, place = @states.find { |_, state| state.is_a?(Core::Sittings::Place) }
        own = @states.each_value.grep(Core::Sittings::OwnFacts).first
        at = stream ? Core::Streams::StreamName.part(stream) : Core::Sittings::Places::MAIN
        Student::View.new(sitting, place&.shown, at, false, own&.asked&.fetch(:room), polls)
      end

      # @return [Array<Hash>] polls that take answers now
      def polls
        now = Process.clock_gettime(Process::CLOCK_REALTIME, :millisecond)
        @states.filter_map do |stream, state|
          round = state.is_a?(Core::Polls::Poll) && state.taking(now)
          { id: Core::Streams::StreamName.part(stream), round: round, question: state.question } if round
        end
      end

      # @return [String] id of the class
      def come_in
        lesson = @web.post('/api/links/enter', token: @token, name: @name)['to'][%r{/lessons/(\w+)/}, 1]
        @web.post("/api/lessons/#{lesson}/class")['sitting']
      end
    end
  end
end
