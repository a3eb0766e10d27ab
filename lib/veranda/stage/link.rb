# frozen_string_literal: true

require 'async'
require 'async/http/endpoint'
require 'async/variable'
require 'async/websocket/client'
require 'json'

module Veranda
  module Stage
    # The one connection of this process to the media server. Requests are answered by their transaction; what the media server tells
    # by itself goes to whoever has the session.
    class Link
      include Terse

      # The media server is away, or did not answer.
      class Away < StandardError; end

      # The media server said no.
      class Refused < StandardError
        # @return [Integer] see its list of errors
        attr_reader :code

        def initialize(code, reason)
          @code = code
          super("#{reason} (#{code})")
        end
      end

      # s to wait for an answer, and between two tries to reach it.
      PATIENCE = 5
      PAUSE = 0.5
      # s between signs of life of a session; the media server lets go of one after 20.
      ALIVE_EVERY = 8

      # @param reach [Hash] `{ url:, secret: }`
      def initialize(reach)
        @reach = reach
        @waiting = {}
        @sessions = {}
        @count = 0
      end

      # @return [Boolean] whether the media server can be asked now
      def up? = !@socket.nil?

      # Holds the connection for ever; run it in a task of its own.
      # @yieldparam up [Boolean] whenever it came or went
      def run(task, &told)
        loop do
          connect(task, &told)
        rescue StandardError => e
          Console.debug(self, 'The media server cannot be reached', e)
        ensure
          task.sleep(PAUSE)
        end
      end

      # @param facts [Hash] a request
      # @return [Hash] what it was answered, with symbol keys
      # @raise [Away, Refused]
      def ask(**facts)
        raise Away, 'The media server is away.' unless @socket

        transaction = "v#{@count += 1}"
        answer = @waiting[transaction] = Async::Variable.new
        say(facts.merge(transaction: transaction))
        read(Async::Task.current.with_timeout(PATIENCE) { answer.wait })
      rescue Async::TimeoutError
        raise Away, 'The media server did not answer.'
      ensure
        @waiting.delete(transaction)
      end

      # Asks for something that is taken note of and not answered.
      # @raise [Away]
      def tell(**facts) = @socket ? say(facts.merge(transaction: 'told')) : raise(Away, 'The media server is away.')

      # @param session [Integer] id
      # @yieldparam event [Hash] what is told of it
      def listen(session, &heard) = @sessions[session] = heard

      def forget(session) = @sessions.delete(session)

      private

      def connect(task, &told)
        endpoint = Async::HTTP::Endpoint.parse(@reach[:url])
        Async::WebSocket::Client.connect(endpoint, protocols: ['janus-protocol'], extensions: nil) do |socket|
          @socket = socket
          alive = task.async { |child| keep_alive(child) }
          yield(true)
          while (message = socket.read)
            hear(message.buffer)
          end
        ensure
          alive&.stop
          lost(&told)
        end
      end

      def lost
        was_up, @socket = @socket, nil
        @waiting.each_value { |answer| answer.resolve(nil) unless answer.resolved? }
        @sessions.clear
        yield false if was_up
      end

      # What is only taken note of is answered later, under the same transaction.
      def hear(text)
        facts = JSON.parse(text, symbolize_names: true)
        return if facts[:janus] == 'ack'
        return @waiting.delete(facts[:transaction]).resolve(facts) if @waiting.key?(facts[:transaction])

        @sessions[facts[:session_id]]&.call(facts)
      rescue StandardError => e
        Complaint.of(self, 'What the media server told could not be taken', e)
      end

      def read(facts)
        raise Away, 'The media server went away.' unless facts
        raise Refused.new(*facts[:error].values_at(:code, :reason)) if facts[:janus] == 'error'

        data = facts.dig(:plugindata, :data)
        raise Refused.new(data[:error_code], data[:error]) if data&.key?(:error_code)

        facts
      end

      def say(facts)
        @socket.write(JSON.generate(facts.merge(apisecret: @reach[:secret])))
        @socket.flush
      rescue SystemCallError, IOError
        raise Away, 'The media server went away.'
      end

      def keep_alive(task)
        loop do
          task.sleep(ALIVE_EVERY)
          @sessions.each_key { |id| tell(janus: 'keepalive', session_id: id) }
        rescue Away
          nil
        end
      end
    end
  end
end
