# frozen_string_literal: true

# Real worker processes, as bin/start has them: films, which take minutes and which specs before may have left in the queue, hold up
# nothing else.
class Worker
  # Queues and workers of each process.
  PROCESSES = { %w[default documents] => 2, %w[films] => 1 }.freeze

  # A worker ends when the database does, and is started again, as bin/start has it.
  def self.shared
    return @shared if @shared&.alive?

    @shared&.stop
    @shared = new
  end

  def self.stop = @shared&.stop

  # @return [String] what workers said last
  def self.said = File.readlines(log).last(5).join

  def self.log = File.join(Veranda::Environment.var, 'worker.log')

  def initialize
    @pids = PROCESSES.map do |queues, workers|
      command = %w[bundle exec que ./workshop.rb --poll-interval 1 --log-level error --worker-count] + [workers.to_s, *queues.flat_map { |name| ['--queue-name', name] }]
      spawn(*command, chdir: Veranda::ROOT, out: [self.class.log, 'a'], err: [self.class.log, 'a'], in: '/dev/null', pgroup: true)
    end
  end

  def alive? = @pids.any? && @pids.all? { |pid| Process.wait(pid, Process::WNOHANG).nil? }

  # As a machine that goes off does it: with all that they started.
  def kill = signal(:KILL, group: true)

  def stop = signal(:TERM)

  private

  # Of those that ended by themselves some were waited for already.
  def signal(name, group: false)
    @pids.each { |pid| quietly(Errno::ESRCH) { Process.kill(name, group ? -pid : pid) } }
    @pids.delete_if { |pid| quietly(Errno::ECHILD) { Process.wait(pid) } || true }
  end

  def quietly(error)
    yield
  rescue error
    nil
  end
end
