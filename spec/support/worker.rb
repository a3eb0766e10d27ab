# frozen_string_literal: true

# A real worker process, as bin/start has it.
class Worker
  # A worker ends when the database does, and is started again, as bin/start has it.
  def self.shared = @shared&.alive? ? @shared : @shared = new

  def self.stop = @shared&.stop

  def initialize
    @log = File.join(Veranda::Environment.var, 'worker.log')
    command = %w[bundle exec que ./workshop.rb --queue-name default --queue-name documents --queue-name films --worker-count 2 --poll-interval 1 --log-level error]
    @pid = spawn(*command, chdir: Veranda::ROOT, out: @log, err: @log, in: '/dev/null', pgroup: true)
  end

  def alive? = Process.wait(@pid, Process::WNOHANG).nil?

  # As a machine that goes off does it: with all that it started.
  def kill
    Process.kill(:KILL, -@pid)
    Process.wait(@pid)
  end

  def stop
    Process.kill(:TERM, @pid)
    Process.wait(@pid)
  rescue Errno::ESRCH, Errno::ECHILD # it ended by itself
    nil
  end
end
