# frozen_string_literal: true

# A real worker process, as bin/start has it.
class Worker
  def self.shared = @shared ||= new

  def self.stop = @shared&.stop

  def initialize
    @log = File.join(Veranda::Environment.var, 'worker.log')
    @pid = spawn('bundle', 'exec', 'que', './workshop.rb', '--worker-count', '2', '--poll-interval', '1', '--log-level', 'error',
                 chdir: Veranda::ROOT, out: @log, err: @log, in: '/dev/null', pgroup: true)
  end

  def stop
    Process.kill(:TERM, @pid)
    Process.wait(@pid)
  rescue Errno::ESRCH, Errno::ECHILD
    nil
  end
end
