# frozen_string_literal: true

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
