# frozen_string_literal: true

require 'net/http'

module Bench
  # What all measures begin with.
  class Measure
    # @param archive [Veranda::Store::Archive]
    # @param server [Class] makes server processes
    def initialize(archive, server)
      @archive = archive
      @server = server
      @crowd = Crowd.new(archive)
    end

    private

    # Asks a server for something as somebody who is signed in.
    def fetch(server, path, cookie)
      response = Net::HTTP.start('127.0.0.1', server.port) { |http| http.get(path, 'Cookie' => cookie) }
      raise "#{path}: #{response.code} #{response.body[0, 200]}" unless response.is_a?(Net::HTTPSuccess)
    end

    # @return [Float] ms that the block took
    def elapsed
      began = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      yield
      (Process.clock_gettime(Process::CLOCK_MONOTONIC) - began) * 1000
    end

    # @return [Array(Object, Float)] what the block came to, and the CPU time that it took, in ms
    def timed
      from = Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID, :float_millisecond)
      [yield, Process.clock_gettime(Process::CLOCK_PROCESS_CPUTIME_ID, :float_millisecond) - from]
    end
  end
end
