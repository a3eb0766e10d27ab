# frozen_string_literal: true

require 'async'
require 'async/http/endpoint'
require 'async/websocket/client'
require 'socket'

module Veranda
  module StandIns
    # A telephone, and what stands between it and us: types the code of a class, sends one of the stand-ins' voices, and takes what is
    # heard. Its keys: `1` switches the microphone on or off, `*` raises the hand or lowers it, `#` hangs up.
    class Phone
      # @param address [String] `http://…` of a Veranda on this machine
      # @param secret [String] by which it is known
      # @param voice [Array<String>] packets of 20 ms
      # @param says [#call] what a person would hear said
      def initialize(address, secret, voice:, says: ->(_) {})
        @web = Web.new(address)
        @address = address
        @secret = secret
        @voice = voice
        @says = says
        @keys = Async::Queue.new
        @heard = Hash.new(0)
      end

      # @return [Hash{Integer => Integer}] packets that came of each voice
      attr_reader :heard

      # @param key [String]
      def press(key) = @keys.enqueue(key)

      # Calls, and stays on the line until it hangs up or is hung up on.
      # @param code [String]
      def call(code)
        @sitting = @web.post('/api/telephone', { code: code }, 'X-Telephone' => @secret)['sitting']
        @ear = UDPSocket.new.tap { |ear| ear.bind('127.0.0.1', 0) }
        endpoint = Async::HTTP::Endpoint.parse("#{@address.sub('http', 'ws')}/live")
        Async::WebSocket::Client.connect(endpoint, headers: [['cookie', @web.cookie], ['origin', @address]]) { |socket| talk(socket) }
      ensure
        @ear&.close
      end

      private

      def talk(socket)
        @socket = socket
        say(t: 'hello', v: Live::Protocol::VERSION, sitting: @sitting)
        tasks = [Async { listen }, Async { press_keys }, Async { hear }]
        tasks.first.wait
      ensure
        tasks&.each(&:stop)
        @sending&.stop
      end

      def say(**facts)
        @socket.write(JSON.generate(facts))
        @socket.flush
      end

      def listen
        while (message = @socket.read)
          facts = JSON.parse(message.buffer, symbolize_names: true)
          case facts[:t]
          when 'welcome', 'gained' then come_in(facts)
          when 'telephone' then put_through(facts)
          when 'muted' then @says.call("#{facts[:by]} has muted you. Press one to speak.")
          when 'error', 'refused' then @says.call(facts[:says])
          end
        end
      end

      # Once it is let in to a place.
      def come_in(facts)
        streams = facts[:streams]&.map { |part| part[:stream] } || [facts[:stream]]
        @place = streams.grep(%r{\Aplace/}).reject { |name| name.end_with?('.waiting') }.first || @place
        return if @place.nil? || @come

        @come = true
        say(t: 'stage', act: 'come', telephone: @ear.addr[1])
      end

      def put_through(facts)
        @says.call('You are in the class. Press one to speak, star to raise your hand.')
        rtp = Media::Rtp.new(@voice, every: 0.02, type: 111, source: facts[:source], rate: 48_000)
        @sending&.stop
        @sending = Async do |task|
          loop do
            rtp.next.each { |packet| @ear.send(packet, 0, '127.0.0.1', facts[:port]) }
            task.sleep(rtp.every)
          end
        end
      end

      def press_keys
        while (key = @keys.dequeue)
          case key
          when '1' then say(t: 'stage', act: 'switch', switch: 'microphone', on: @on = !@on)
          when '*' then raise_hand
          # The server hangs up then, which is heard.
          when '#' then return say(t: 'bye')
          end
        end
      end

      def raise_hand
        @up = !@up
        command = @up ? 'class.raise_hand' : 'class.lower_hand'
        say(t: 'do', id: "k#{Random.bytes(8).unpack1('H*')}", do: command, stream: @place, with: {})
      end

      def hear
        loop do
          packet, = @ear.recvfrom(2_000)
          @heard[packet.unpack1('x8N')] += 1 if packet.bytesize > 12
        end
      end
    end
  end
end
