# frozen_string_literal: true

require_relative '../spec_helper'
require_relative '../../lib/setup/stage/keeper'

RSpec.describe Setup::Stage::Keeper do
  # A server that dies twice while it starts, and then takes connections.
  let(:configuration) do
    Class.new do
      attr_reader :folder, :starts

      def initialize(folder)
        @folder = folder
        @starts = 0
        @port = Addrinfo.tcp('127.0.0.1', 0).bind { |socket| socket.local_address.ip_port }
      end

      def write = nil
      def reach = { url: "ws://127.0.0.1:#{@port}" }

      def command
        return ['/bin/false'] if (@starts += 1) < 3

        [RbConfig.ruby, '-rsocket', '-e', "server = TCPServer.new('127.0.0.1', #{@port}); loop { server.accept.close }"]
      end
    end.new(Dir.mktmpdir)
  end

  it 'goes on when it dies while it starts, brings it back when it is killed, and ends it when it is told to' do
    keeper = described_class.new(configuration)
    ready = Queue.new
    running = Thread.new { keeper.run { ready << true } }
    until_true('it runs') { !ready.empty? }
    expect(configuration.starts).to eq(3)
    pid = -> { Integer(File.read(File.join(configuration.folder, 'stage.pid'))) }
    first = pid.call
    Process.kill(:KILL, first)
    until_true('it is back') { pid.call != first }
    keeper.stop
    expect(running.join(Patience::SECONDS)).to be(running)
    expect { Process.kill(0, pid.call) }.to raise_error(Errno::ESRCH)
  ensure
    FileUtils.rm_rf(configuration.folder)
  end
end
