# frozen_string_literal: true

# A media server of its own, run as bin/start runs it.
class Media
  attr_reader :folder

  def initialize
    @folder = File.join(Veranda::Environment.var, "stage-#{Process.pid}-#{self.class.count}")
    read, write = IO.pipe
    @keeper = spawn(RbConfig.ruby, File.join(Veranda::ROOT, 'lib/setup/stage.rb'), folder, out: write, pgroup: true)
    write.close
    read.wait_readable(Patience::SECONDS) && read.gets or raise "The media server did not start:\n#{log}"
  end

  def self.count = @count = (@count || 0) + 1

  # @return [Hash{String => String}] what a server is told of it
  def told = { 'VERANDA_STAGE' => File.join(folder, 'stage.json') }

  # @return [Hash] how it is reached
  def reach = JSON.parse(File.read(told['VERANDA_STAGE']), symbolize_names: true)

  # @return [Integer] process id of the media server as it runs now
  def pid = Integer(File.read(File.join(folder, 'stage.pid')))

  # Ends it at once, with no chance to tidy up; its keeper brings it back.
  def kill = Process.kill(:KILL, pid)

  def log = Dir[File.join(folder, 'stage.log')].map { |file| File.read(file) }.join

  def stop
    Process.kill(:TERM, @keeper)
    Process.wait(@keeper)
  rescue Errno::ESRCH, Errno::ECHILD
    nil
  end
end
