# frozen_string_literal: true

require 'async/queue'

module Veranda
  module Stage
    # What is asked for somebody, done in turn. What fails ends nothing but itself.
    class Jobs
      # Of what a page asks for, that may wait.
      MOST = 200

      # @param tell [#call] tells the page what went wrong
      def initialize(tell)
        @tell = tell
        @queue = Async::Queue.new
        @due = {}
      end

      # What a page asks for.
      # @raise [Core::Refusal] `too_fast`
      def ask(&)
        raise Core::Refusal.new(:too_fast, 'That was too much at once. Try again in a moment.') if @queue.size >= MOST

        add(&)
      end

      # What is to be done whatever the page has asked for.
      def add(&job) = @queue.enqueue(job)

      # What is to be done of itself: several times the same is one.
      # @param name [Symbol]
      def once(name)
        return if @due[name]

        @due[name] = true
        add do
          @due.delete(name)
          yield
        end
      end

      # What still waits is not done any more.
      def stop
        @stopped = true
        @queue.enqueue(nil)
      end

      # Works until it is stopped.
      def run
        while (job = @queue.dequeue)
          break if @stopped

          attempt(&job)
        end
      end

      private

      def attempt
        yield
      rescue Core::Refusal => e
        @tell.call(t: 'error', code: e.code, says: e.says)
      rescue Link::Away
        # It is told when it comes back, and all is done anew.
        nil
      rescue Link::Refused => e
        Console.info(self, 'The media server refused something', e.message)
        @tell.call(t: 'error', code: :stage_refused, says: 'Sound and picture could not be set up just now. Switch them on again.')
      rescue StandardError => e
        Complaint.of(self, 'Sound and picture could not be set up', e)
      end
    end
  end
end
