# frozen_string_literal: true

require 'fileutils'
require 'socket'
require 'uri'

module Setup
  module Stage
    # Runs the media server for as long as it is wanted, and begins it again when it dies.
    class Keeper
      # s between the end of one and the beginning of the next: twice as long each time that one did not live for long.
      PAUSE = 0.2
      LONGEST_PAUSE = 30
      # s
      LONG = 10
      # s until it must be heard of.
      PATIENCE = 15

      # @param configuration [Configuration]
      def initialize(configuration)
        @configuration = configuration
        @wanted = true
      end

      # @yield once, when it takes connections
      def run
        @configuration.write
        FileUtils.rm_f(log)
        pause = PAUSE
        while @wanted
          since = now
          start
          # Told to stop while there was nothing to be stopped yet.
          stop unless @wanted
          ready? && !@told && (@told = true) && yield
          ended
          pause = now - since > LONG ? PAUSE : [pause * 2, LONGEST_PAUSE].min
          sleep(pause) if @wanted
        end
      end

      # May be called from a signal handler.
      def stop
        @wanted = false
        Process.kill(:TERM, @pid) if @pid
      rescue Errno::ESRCH
        nil
      end

      private

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      def log = File.join(@configuration.folder, 'stage.log')

      # It may have died, and been seen off, before it was ready.
      def ended
        Process.wait(@pid)
      rescue Errno::ECHILD
        nil
      ensure
        @pid = nil
      end

      def start
        @pid = spawn(*@configuration.command, in: '/dev/null', out: [log, 'a'], err: [log, 'a'], unsetenv_others: true)
        # Whoever reads it meanwhile finds the old one or the new one.
        pid = File.join(@configuration.folder, 'stage.pid')
        File.write("#{pid}.new", @pid.to_s)
        File.rename("#{pid}.new", pid)
      end

      def ready?
        port = URI(@configuration.reach[:url]).port
        (PATIENCE * 20).times do
          TCPSocket.new('127.0.0.1', port).close
          return true
        rescue SystemCallError
          return false if Process.wait(@pid, Process::WNOHANG)

          sleep 0.05
        end
        false
      rescue Errno::ECHILD
        false
      end
    end
  end
end
