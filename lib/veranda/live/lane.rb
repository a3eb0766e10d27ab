# frozen_string_literal: true

require 'async/queue'

module Veranda
  module Live
    # Everything that changes the streams of one lesson in this process goes through its lane,
    # one batch at a time. Orders that come in while a commit runs form the next batch, so
    # load makes batches bigger, not slower.
    #
    # Between batches the copies hold exactly what is committed; {#visit} runs there.
    class Lane
      # Orders in one commit, at most: a batch must not keep others waiting for long.
      BATCH = 200

      Arrival = Struct.new(:order, :answer)
      private_constant :Arrival

      # @param performer [Store::Performer]
      # @param clock [#call] gives ms since the epoch
      def initialize(performer, clock:)
        @performer = performer
        @clock = clock
        @queue = Async::Queue.new
      end

      # @param order [Store::Order]
      # @yieldparam outcome [Store::Outcome]
      def submit(order, &answer) = @queue.enqueue(Arrival.new(order, answer))

      # @yieldparam performer [Store::Performer] with nothing uncommitted in it
      def visit(&block) = @queue.enqueue(block)

      # @return [Boolean]
      def idle? = @queue.empty?

      # Works for ever; run it in a task of its own.
      def run
        loop do
          job = @queue.dequeue
          job.is_a?(Arrival) ? commit(batch_from(job)) : call(job)
        end
      end

      private

      # Takes orders up to the next visit, which has to see what came before it.
      def batch_from(first)
        batch = [first]
        batch << @queue.dequeue while batch.length < BATCH && !@queue.empty? && @queue.items.first.is_a?(Arrival)
        batch
      end

      def commit(batch)
        outcomes = @performer.perform(batch.map(&:order), at: @clock.call)
        batch.zip(outcomes) { |arrival, outcome| arrival.answer&.call(outcome) }
      rescue Core::Refusal, Sequel::DatabaseError, Sequel::DatabaseConnectionError => e
        fail_batch(batch, e)
      end

      # One order naming a stream that does not exist must not take its neighbours with it.
      def fail_batch(batch, error)
        return batch.each { |arrival| commit([arrival]) } if error.is_a?(Core::Refusal) && batch.length > 1

        refusal = error.is_a?(Core::Refusal) ? error : not_saved(error)
        batch.each { |arrival| arrival.answer&.call(Store::Outcome.new(order: arrival.order, refusal: refusal)) }
      end

      def not_saved(error)
        Console.error(self, 'A batch could not be stored', error)
        Core::Refusal.new(:not_saved, 'This could not be saved just now. It is kept here and sent again shortly.')
      end

      def call(job)
        job.call(@performer)
      rescue Sequel::DatabaseError => e
        Console.error(self, 'The database is away', e)
      end
    end
  end
end
