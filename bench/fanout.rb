# frozen_string_literal: true

module Bench
  # How many deliveries a server makes and how late they are: transient messages against a bare
  # Node relay, then durable ones, then many people drawing at once.
  class Fanout < Measure
    SECONDS = 8

    def run
      relay = relayed
      transient = live(200, rate: 400, messages: 'transient')
      report_transient(transient, relay)
      report_durable(live(300, rate: 250, messages: 'durable'), transient)
      report_drawing(live(60, rate: 600, messages: 'durable', seconds: 7))
    end

    private

    def report_transient(transient, relay)
      Report.line('transient deliveries', transient[:perSecond], 'per s', baseline: relay[:perSecond], target: '≥ 1.0× relay')
      Report.line('transient p50', transient[:p50], 'ms', baseline: relay[:p50])
      Report.line('transient p99', transient[:p99], 'ms', baseline: relay[:p99], target: '≤ 0.3× relay')
      Report.line('transient lost', transient[:lost], 'messages', target: 'may be dropped')
    end

    def report_durable(durable, transient)
      Report.line('durable deliveries', durable[:perSecond], 'per s', target: '≥ 70,000')
      Report.line('durable p50', durable[:p50], 'ms')
      Report.line('durable p99', durable[:p99], 'ms', baseline: transient[:p99], target: '≤ 3× transient')
      Report.line('durable lost', durable[:lost], 'messages', target: '0')
    end

    def report_drawing(drawing)
      Report.line('drawing, answered p50, in the server', drawing[:pace][:p50], 'ms', target: '≤ 5')
      Report.line('drawing, answered p99, in the server', drawing[:pace][:p99], 'ms', target: '≤ 25')
      Report.line('drawing, answered p50, at the client', drawing[:ack50], 'ms')
      Report.line('drawing, answered p99, at the client', drawing[:ack99], 'ms')
      Report.line('drawing, seen by others p99', drawing[:p99], 'ms')
      Report.line('drawing lost', drawing[:lost], 'messages', target: '0')
    end

    # The most talkative stretch of the server's own record.
    def worst(pace) = pace.max_by { |one| one[:answered] || one['answered'] }&.transform_keys(&:to_sym) || {}

    def relayed(people: 200, rate: 400)
      relay = IO.popen([{ 'NODE_PATH' => Crowd::NODE_PATH }, 'node', File.join(__dir__, 'relay.cjs')])
      url = "ws://127.0.0.1:#{relay.gets.strip}"
      @crowd.run(url: url, cookies: Array.new(people, ''), messages: 'relay', stream: 'board/x', rate: rate, seconds: SECONDS)
    ensure
      Process.kill(:TERM, relay.pid)
      relay.close
    end

    def live(people, rate:, messages:, seconds: SECONDS, samples: false)
      server = @server.new
      klass = BusyClass.open(@archive)
      figures = @crowd.run(url: "ws://127.0.0.1:#{server.port}/live", origin: server.address, cookies: @crowd.cookies(people, klass.lesson),
                           hello: { t: 'hello', v: Veranda::Live::Protocol::VERSION, sitting: klass.sitting }, messages: messages,
                           stream: klass.board, rate: rate, seconds: seconds, samples: samples)
      figures.merge(pace: worst(server.pace))
    ensure
      server&.stop
    end
  end
end
