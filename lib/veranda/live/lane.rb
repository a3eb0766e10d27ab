# frozen_string_literal: true

require 'async/queue'

module Veranda
  module Live
    # Everything that changes the streams of one lesson in this process goes through its lane,
    # one batch at a time. Orders that come in while a commit runs form the next batch, so
    # load makes batches bigger, not slower.
    #
    # Between batches the copies hold exactly what is committed; {#visit} runs there. No error ends a lane: a batch that cannot be
    # carried out is tried order by order, and an order that cannot be is refused. A visit that met a database that was away comes again.
    class Lane
      include Terse

      # Orders in one commit, at most: a batch must not keep others waiting for long.
      BATCH = 200
      # Errors that are nobody's fault and may well be over in a moment.
      PASSING = [*Store::Database::AWAY, Sequel::SerializationFailure, Sequel::DatabaseLockTimeout, Store::Log::Moved].freeze

      # How often a visit comes, and s between its tries.
      TRIES = 5
      PAUSE = 0.3

      Arrival = Struct.new(:order, :answer)
      Visit = Struct.new(:job, :given_up, :tries)
      private_constant :Arrival, :Visit

      # @param performer [Deciding::Performer]
      # @param clock [#call] gives ms since the epoch
      def initialize(performer, clock:)
        @performer = performer
        @clock = clock
        @queue = Async::Queue.new
      end

      # @param order [Deciding::Order]
      # @yieldparam outcome [Deciding::Outcome]
      def submit(order, &answer) = @queue.enqueue(Arrival.new(order, answer))

      # @param given_up [#call, nil] told when it came to nothing in the end: nobody may be left to wait for an answer
      # @yieldparam performer [Deciding::Performer] with nothing uncommitted in it; what is done may begin anew when the database was away
      def visit(given_up: nil, &job) = @queue.enqueue(Visit.new(job, given_up, 1))

      # @return [Boolean]
      def idle? = @queue.empty?

      # Works for ever; run it in a task of its own.
      def run
        loop do
          job = @queue.dequeue
          job.is_a?(Arrival) ? commit(batch_from(job)) : pay(job)
        end
      end

      private

      def pay(visit)
        visit.job.call(@performer)
      rescue StandardError => e
        Complaint.of(self, 'A visit to the lane failed', e)
        return again(visit) if passing?(e) && visit.tries < TRIES

        guarded('Nobody could be told that a visit was given up') { visit.given_up&.call }
      end

      # Later, so that others have their turn meanwhile.
      def again(visit)
        Async::Task.current.reactor.async(transient: true) do
          sleep PAUSE
          @queue.enqueue(Visit.new(visit.job, visit.given_up, visit.tries + 1))
        end
      end

      # Takes orders up to the next visit, which has to see what came before it.
      def batch_from(first)
        batch = [first]
        batch << @queue.dequeue while batch.length < BATCH && !@queue.empty? && @queue.items.first.is_a?(Arrival)
        batch
      end

      def commit(batch)
        outcomes = @performer.perform(batch.map(&:order), at: @clock.call)
        batch.zip(outcomes) { |arrival, outcome| answer(arrival, outcome) }
      rescue StandardError => e
        # One order that cannot be carried out must not take its neighbours with it; a database that is away takes all.
        return batch.each { |arrival| commit([arrival]) } if batch.length > 1 && !passing?(e)

        refusal = e.is_a?(Core::Refusal) ? e : refusal_of(e)
        batch.each { |arrival| answer(arrival, Deciding::Outcome.new(order: arrival.order, entries: [], refusal: refusal)) }
      end

      def answer(arrival, outcome)
        guarded('An answer could not be given') { arrival.answer&.call(outcome) }
      end

      def passing?(error) = PASSING.any? { |kind| error.is_a?(kind) }

      def refusal_of(error)
        Complaint.of(self, 'Orders could not be carried out', error)
        return Core::Refusal.new(:not_saved, 'This could not be saved just now. It is kept here and sent again shortly.') if passing?(error)

        Core::Refusal.new(:fault, 'This could not be done, and nothing was changed. Try it another way, and tell us if it goes on.')
      end

      def guarded(words)
        yield
      rescue StandardError => e
        Complaint.of(self, words, e)
      end
    end
  end
end
