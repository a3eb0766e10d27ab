# frozen_string_literal: true

module Bench
  # The same class on one server process and on two: how much more reaches people in all, and whether both tell the same order.
  class Processes < Measure
    PEOPLE = 300
    SECONDS = 8
    # Over what one process can do, so that it shows what two can.
    RATE = 400

    def run
      one = together(1)
      two = together(2)
      Report.line('two processes, deliveries', two[:perSecond], 'per s', baseline: one[:perSecond], target: '≥ 1.6× one')
      Report.line('two processes, p99', two[:p99], 'ms', baseline: one[:p99])
      Report.line('two processes, lost', two[:lost], 'messages', target: '0')
      Report.line('two processes, told the same order', @alike ? 1 : 0, 'of 1', target: '1')
    end

    private

    def together(count)
      servers = Array.new(count) { @server.new }
      klass = BusyClass.open(@archive)
      watchers = servers.map { |server| Wire.join(server, 'odalys', { sitting: klass.sitting }) }
      share = { people: PEOPLE / count, rate: RATE / count }
      figures = servers.map { |server| Thread.new { crowd(server, klass, **share) } }.map(&:value)
      @alike = watchers.map { |wire| wire.entries(klass.board).map { |entry| entry.values_at('seq', 'cmd') } }.uniq.length == 1
      { perSecond: figures.sum { |one| one[:perSecond] }, p99: figures.map { |one| one[:p99] }.max, lost: figures.sum { |one| one[:lost] } }
    ensure
      servers&.each(&:stop)
    end

    # Each crowd counts what it hears of everything, the other's messages too.
    def crowd(server, klass, people:, rate:)
      @crowd.run(url: "ws://127.0.0.1:#{server.port}/live", origin: server.address, cookies: @crowd.cookies(people, klass.lesson),
                 hello: { t: 'hello', v: Veranda::Live::Protocol::VERSION, sitting: klass.sitting }, messages: 'durable',
                 stream: klass.board, rate: rate, seconds: SECONDS, others: RATE - rate)
    end
  end
end
