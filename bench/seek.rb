# frozen_string_literal: true

require 'net/http'

module Bench
  # Going to any point of a recording of three hours with 20,000 entries, as the player does it:
  # the state at that moment and the entries of the two minutes after, asked for together.
  class Seek < Measure
    ENTRIES = 20_000
    MINUTES = 180
    TRIES = 80

    def run
      klass = BusyClass.new(@archive, began: BusyClass.now - MINUTES * BusyClass::MINUTE)
      klass.live_through(ENTRIES, MINUTES)
      klass.finish
      @archive.recordings.update(klass.sitting, shared: true)
      server = @server.new
      times = measure(server, klass)
      Report.line('seek p50', Report.percentile(times, 0.5), 'ms')
      Report.line('seek p95', Report.percentile(times, 0.95), 'ms', target: '≤ 200')
    ensure
      server&.stop
    end

    private

    def measure(server, klass)
      cookie = @crowd.cookie('farah')
      length = MINUTES * BusyClass::MINUTE
      rng = Random.new(3)
      Array.new(TRIES) do
        t = rng.rand(length)
        paths = ["at?t=#{t}", "entries?from=#{t}&to=#{t + 120_000}"]
        elapsed do
          paths.map do |path|
            Thread.new do
              fetch(server, "/api/recordings/#{klass.sitting}/#{path}", cookie)
            end
          end.each(&:join)
        end
      end
    end

    def fetch(server, path, cookie)
      response = Net::HTTP.start('127.0.0.1', server.port) { |http| http.get(path, 'Cookie' => cookie) }
      raise "#{path}: #{response.code} #{response.body[0, 200]}" unless response.is_a?(Net::HTTPSuccess)
    end

    def elapsed
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      yield
      (Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000
    end
  end
end
