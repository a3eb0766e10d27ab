# frozen_string_literal: true

require 'async'
require 'async/condition'
require 'async/variable'

module Veranda
  module Aside
    # Has things done in a process beside this one that would hold up everyone here: files are drawn, logs are folded, zips are
    # opened. The helper is begun at first use and again whenever it went away; it lives as long as this process.
    #
    #   pool = Pool.new
    #   pool.call('farah', :board_pdf, { board: '7' }) #=> { path: '…' }
    #
    # Each person has a queue of their own, and people take turns, so that nobody waits for all that somebody else has asked for. What
    # nobody waits for any more is not begun, and what is under way for somebody who left is ended.
    class Pool
      # Things one person may have under way or waiting, of those that take seconds.
      MOST_EACH = 4
      # Things that may wait in all, for each that one person may have.
      MOST_PEOPLE = 50
      # s after which something is given up.
      LONGEST = 150

      Task = Struct.new(:person, :name, :arguments, :answer, :done)
      private_constant :Task

      # @param each [Integer] things one person may have under way or waiting
      # @param make [#call] makes a helper
      def initialize(each: MOST_EACH, make: -> { Helper.new })
        @each = each
        @make = make
        @queues = {}
        @ready = Async::Condition.new
      end

      # @param person [String] who asks
      # @param name [Symbol] see {Tasks}
      # @param arguments [Hash] plain values
      # @param gone [#call] whether the asker has left
      # @return [Object] what the task answers
      # @raise [Core::Refusal] as the task does; `too_fast`, `export_failed`
      def call(person, name, arguments, gone: -> { false })
        queue = room!(person)
        task = Task.new(person, name, arguments, Async::Variable.new)
        queue << task
        start
        @ready.signal
        wait(task, gone)
      ensure
        give_up(queue, task) if task && !task.done
      end

      private

      def room!(person)
        queue = (@queues[person] ||= [])
        busy = queue.length + (@running&.person == person ? 1 : 0)
        return queue if busy < @each && @queues.each_value.sum(&:length) < @each * MOST_PEOPLE

        raise Core::Refusal.new(:too_fast, 'You have asked for several files already. Wait until they are there.')
      end

      # Who waits looks up now and then whether anybody waits for them.
      def wait(task, gone)
        watcher = Async do |child|
          loop do
            child.sleep(0.5)
            break task.answer.resolve([:refused, :gave_up, 'Nobody waits for this any more.']) if gone.call
          end
        end
        kind, *rest = task.answer.wait
        kind == :done ? rest.first : raise(Core::Refusal.new(*rest))
      ensure
        watcher&.stop
      end

      def give_up(queue, task)
        queue.delete_if { |other| other.equal?(task) }
        @helper&.stop if @running.equal?(task)
      end

      # The loop outlives whoever began it.
      def start
        return if @working

        # Noted first: others may ask before the loop has got as far as to wait.
        @working = true
        Async::Task.current.reactor.async(transient: true) do
          work
        ensure
          @working = false
        end
      end

      def work
        loop do
          @ready.wait while (task = following).nil?
          @running = task
          answer = perform(task)
          task.done = true
          task.answer.resolve(answer) unless task.answer.resolved?
          @running = nil
        end
      end

      # The person whose turn it is goes to the end of the line.
      def following
        @queues.delete_if { |_, queue| queue.empty? }
        person, queue = @queues.first
        return unless queue

        @queues.delete(person)
        @queues[person] = queue
        queue.shift
      end

      def perform(task)
        @helper = @make.call unless @helper&.alive?
        Async::Task.current.with_timeout(LONGEST) { @helper.ask(task.name, task.arguments) }
      rescue Async::TimeoutError, IOError, SystemCallError => e
        @helper&.stop
        @helper = nil
        Console.warn(self, "#{task.name} was not finished", e) unless task.answer.resolved?
        [:refused, :export_failed, 'This took too long and was given up. Nothing was changed; try a smaller part.']
      rescue StandardError => e
        # Whoever waits gets an answer, and others their turn. What the helper is at, nobody knows any more.
        Complaint.of(self, "#{task.name} could not be asked for", e)
        @helper&.stop
        @helper = nil
        [:refused, :fault, 'Something went wrong here. What you had is kept; try again in a moment.']
      end
    end
  end
end
