# frozen_string_literal: true

require 'json'
require 'socket'

module Veranda
  module StandIns
    module Media
      # Sends the sound and picture of all stand-ins of one server, each to the port that it was given. Told on lines of JSON:
      #
      #   {"play": "ID", "ip": "127.0.0.1", "port": 10000, "initials": "AS", "index": 0, "picture": true}
      #   {"stop": "ID"}
      class Sender
        # Voices and pictures at once.
        MOST = 60
        # s between two looks at what is due.
        TICK = 0.01
        # s; what was missed by more than that is left out.
        LATE = 1.0

        # A stream of packets, where it goes, and when the next is due.
        Flow = Struct.new(:rtp, :to, :due)

        # @param made [Made]
        # @param clock [#call] s
        def initialize(made, clock: -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) })
          @made = made
          @clock = clock
          @socket = UDPSocket.new
          @flows = {}
          @lock = Mutex.new
        end

        # @param line [String]
        def hear(line)
          facts = JSON.parse(line, symbolize_names: true)
          return @lock.synchronize { @flows.delete(facts[:stop]) } if facts[:stop]

          flows = flows_of(**facts) if @flows.length < MOST
          @lock.synchronize { @flows[facts[:play]] = flows } if flows
        end

        # Sends for ever.
        def run
          loop do
            send_due
            sleep TICK
          end
        end

        # @return [Integer] packets that were sent
        def send_due
          now = @clock.call
          @lock.synchronize { @flows.values }.flatten.sum { |flow| catch_up(flow, now) }
        end

        private

        def flows_of(ip:, port:, initials:, index:, picture:, **)
          now = @clock.call
          sound = Rtp.new(@made.voice(index), every: 0.02, type: 111, source: Stage::Carrying::SOURCE, rate: 48_000)
          seen = picture && Rtp.new(@made.picture(initials, index), every: 1.0 / Made::PICTURES, type: 96, rate: 90_000, pieces: true,
                                                                    source: Stage::Carrying::SOURCE + Stage::Carrying::STEP)
          [sound, seen].select(&:itself).map { |rtp| Flow.new(rtp, [ip, port], now) }
        end

        def catch_up(flow, now)
          flow.due = now if now - flow.due > LATE
          sent = 0
          while flow.due <= now
            flow.rtp.next.each { |packet| sent += 1 if @socket.send(packet, 0, *flow.to) }
            flow.due += flow.rtp.every
          end
          sent
        rescue SystemCallError
          # Nobody takes it there just now.
          sent
        end
      end
    end
  end
end
