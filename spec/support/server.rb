# frozen_string_literal: true

require 'net/http'
require 'socket'
require_relative 'patience'

# A real server process of its own, on a port of its own.
class Server
  include Patience

  attr_reader :port, :pid

  def self.all = @all ||= []

  def self.stop_all = all.each(&:stop)

  # One server that specs may share.
  def self.shared = @shared ||= new

  # Ends those that came since, but for the shared one: a server that idles costs the machine as well.
  # @param there [Array<Server>] those that were there before
  def self.stop_since(there)
    (all - there - [@shared]).each do |server|
      server.stop
      all.delete(server)
    end
  end

  # @param more [Hash{String => String}] what it is told by its environment
  def initialize(more: {})
    @port = Addrinfo.tcp('127.0.0.1', 0).bind { |socket| socket.local_address.ip_port }
    command = %W[bundle exec falcon serve --bind #{address} --count 1 --config config.ru]
    @log = File.join(Veranda::Environment.var, "server-#{@port}.log")
    told = { 'VERANDA_PACE_EVERY' => '3', 'PGAPPNAME' => name, **settings, **more }
    @pid = spawn(told, *command, chdir: Veranda::ROOT, out: @log, err: @log, in: '/dev/null', pgroup: true)
    self.class.all << self
    wait
  end

  # What its connections call themselves at the database.
  def name = "server-#{@port}"

  # Has the database let go of all its connections, and of nobody else's.
  # @return [Integer] how many there were
  def let_go
    ARCHIVE.db.fetch('SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE application_name = ?', name).count
  end

  def address = "http://127.0.0.1:#{@port}"

  def stop(signal = :TERM)
    return unless @pid

    Process.kill(signal, -@pid)
    Process.wait(@pid)
    @pid = nil
  rescue Errno::ESRCH, Errno::ECHILD
    @pid = nil
  end

  # @return [Array<Hash>] what the server has told of its pace, see Veranda::Live::Pace
  def pace
    File.readlines(@log).filter_map { |line| JSON.parse(line)['message'].last if line.include?('"Pace"') }
  rescue JSON::ParserError
    []
  end

  # @return [Array<String>] what the server has written of errors
  def errors = File.read(@log).scrub.lines.grep(/error|exception|\.rb:\d+:in/i).first(20)

  # Ends every process of the server at once, with no chance to tidy up.
  def kill = stop(:KILL)

  private

  # As bin/start has them.
  def settings
    File.readlines(File.join(Veranda::ROOT, 'config/server.env'), chomp: true).grep(/\A[A-Z]/).to_h { |line| line.split('=', 2) }
  end

  def wait
    until_true('the server answers', said: -> { File.read(@log)[0, 2000] }) { answers? }
  rescue StandardError
    kill
    raise
  end

  def answers?
    Net::HTTP.get_response(URI("#{address}/api/session")).is_a?(Net::HTTPSuccess)
  rescue SystemCallError
    false
  end
end
