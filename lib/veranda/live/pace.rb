# frozen_string_literal: true

module Veranda
  module Live
    # How fast this process is: how long commands wait for their answer, and for how long at most nothing else could run. Written to
    # the log now and then, for whoever looks after the server and for `bin/bench`.
    class Pace
      # Seconds between two lines in the log, and between two looks at whether the reactor gets round.
      EVERY = Integer(ENV.fetch('VERANDA_PACE_EVERY', '60'))
      LOOK = 0.005
      # Answer times that are remembered between two lines; beyond, every one takes the place of a random earlier one (Vitter 1985,
      # "Random sampling with a reservoir", algorithm R).
      RESERVOIR = 5_000

      # @return [Float] s, monotonic
      def self.now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

      def initialize(rng: Random.new)
        @rng = rng
        begin_again
      end

      # A command that came at some time is answered now.
      # @param since [Float] s, monotonic
      def answered(since)
        @count += 1
        place = @count <= RESERVOIR ? @count - 1 : @rng.rand(@count)
        @times[place] = Pace.now - since if place < RESERVOIR
      end

      # Looks for ever whether the reactor gets round; run it in a task of its own.
      # @param task [Async::Task]
      def watch(task)
        loop do
          before = Pace.now
          task.sleep(LOOK)
          @pause = [@pause, Pace.now - before - LOOK].max
        end
      end

      # @return [Hash, nil] figures since the last time, in ms: `{ answered:, p50:, p99:, pause: }`; nil when there was nothing to do
      def take
        return begin_again if @count.zero?

        sorted = @times.sort
        at = ->(share) { (sorted[((sorted.length - 1) * share).round] * 1000).round(1) }
        { answered: @count, p50: at.call(0.5), p99: at.call(0.99), pause: (@pause * 1000).round(1) }.tap { begin_again }
      end

      private

      def begin_again
        @times = []
        @count = 0
        @pause = 0.0
        nil
      end
    end
  end
end
