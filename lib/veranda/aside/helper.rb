# frozen_string_literal: true

require 'socket'

module Veranda
  module Aside
    # The process beside: `aside.rb` at the root, spoken to over a pair of sockets. It ends when this process does.
    class Helper
      SCRIPT = File.join(ROOT, 'aside.rb')
      # Also in the middle of something, and with it whatever it has started (see {Workshop::Tool}).
      ENDS_WITH_US = %w[setpriv --pdeathsig KILL].freeze

      def initialize
        @socket, theirs = UNIXSocket.pair
        @pid = Process.spawn({ 'RUBY_GC_HEAP_INIT_SLOTS' => nil, 'RUBY_GC_HEAP_FREE_SLOTS' => nil }, *ENDS_WITH_US, RbConfig.ruby, SCRIPT,
                             in: theirs, out: :err, close_others: true, pgroup: true)
        theirs.close
      end

      def alive? = !@pid.nil?

      # @param name [Symbol]
      # @param arguments [Hash]
      # @return [Array] `[:done, result]` or `[:refused, code, says]`
      # @raise [IOError] when it went away
      def ask(name, arguments)
        Message.write(@socket, [name, arguments])
        Message.read(@socket) || raise(EOFError, 'The helper went away')
      end

      # Ends it with all that it has started. Whoever waits for its answer comes to the end of what it says: the socket is shut and not
      # closed, since Ruby does not wake a fiber that waits for a socket when another closes it.
      def stop
        return unless @pid

        pid, @pid = @pid, nil
        @socket.shutdown
        Process.kill(:KILL, -pid)
        Process.detach(pid)
      rescue SystemCallError, IOError
        # It is gone already.
      end
    end
  end
end
