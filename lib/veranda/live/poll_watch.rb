# frozen_string_literal: true

require 'async/notification'

module Veranda
  module Live
    # Tells staff how polls come along while they are open, and everyone how many ask what: four times a second at most, however many
    # answer and vote. It is worked out beside the server, once for all processes.
    class PollWatch
      # s
      EVERY = 0.25
      # How often in a row what is refused is tried: the house may be busy for a while, and what is refused for good is not asked for ever.
      MOST_TRIES = 8

      # @param gathering [Gathering]
      def initialize(gathering)
        @gathering = gathering
        @due = {}
        @under_way = {}
        @tries = Hash.new(0)
        @ready = Async::Notification.new
      end

      # @param stream [String] the poll's
      def answered(stream)
        @due[stream] = true
        @ready.signal
      end

      # Works for ever; run it in a task of its own.
      # @param task [Async::Task]
      def run(task)
        loop do
          @ready.wait if @due.empty?
          task.sleep(EVERY)
          due = @due.keys - @under_way.keys
          due.each do |stream|
            @due.delete(stream)
            tell(stream)
          end
        end
      end

      private

      def names = Core::Streams::StreamName

      def tell(stream)
        @under_way[stream] = true
        sitting = names.sitting_id(stream)
        return count_votes(stream, sitting) if names.kind(stream) == :questions

        @gathering.hub.aside(:poll_live, sitting: sitting, poll: names.part(stream)) do |done, live|
          over(stream, done)
          message = { t: 'results', stream: stream, live: live }
          @gathering.send_transient(names.staff(sitting), JSON.generate(message), pass_on: true) if live
        end
      end

      def count_votes(stream, sitting) = @gathering.hub.aside(:count_votes, sitting: sitting) { |done| over(stream, done) }

      def over(stream, done)
        @under_way.delete(stream)
        if done || (@tries[stream] += 1) >= MOST_TRIES
          @tries.delete(stream)
        else
          answered(stream)
        end
      end
    end
  end
end
