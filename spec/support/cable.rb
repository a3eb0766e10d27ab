# frozen_string_literal: true

require 'socket'

# A cable between browsers and a server, which can be pulled out: what is on its way then is lost, connections end on both sides, and
# new ones are not made until it is put back.
class Cable
  attr_reader :port

  # @param server [Server]
  def initialize(server)
    @server = server
    @listening = TCPServer.new('127.0.0.1', 0)
    @port = @listening.addr[1]
    @ends = Queue.new
    @thread = Thread.new { loop { carry(@listening.accept) } }
  end

  def address = "http://127.0.0.1:#{@port}"

  def pull
    @pulled = true
    @ends.pop.close until @ends.empty?
  end

  def put_back = @pulled = false

  def close
    @thread.kill
    pull
    @listening.close
  end

  private

  def carry(near)
    return near.close if @pulled

    far = TCPSocket.new('127.0.0.1', @server.port)
    [near, far].each { |socket| @ends << socket }
    [[near, far], [far, near]].each { |from, to| Thread.new { pass_on(from, to) } }
  rescue SystemCallError
    near.close
  end

  def pass_on(from, to)
    loop { to.write(from.readpartial(65_536)) }
  rescue IOError, SystemCallError
    [from, to].each { |socket| socket.close unless socket.closed? }
  end
end
