# frozen_string_literal: true

require 'async/websocket'
require 'protocol/websocket/framer'
require 'protocol/websocket/text_frame'
require 'socket'
require_relative 'patience'

# A real WebSocket to a server, read by a thread of its own so that specs can wait for messages.
class Wire
  MASK = 'mask'

  attr_reader :heard, :status

  def self.all = @all ||= []

  # Cuts those that came since: whoever is left in a class goes on being told.
  # @param there [Array<Wire>] those that were there before
  def self.cut_since(there) = (all - there).each(&:cut).then { @all = there }

  # @param visitor [VisitorClient]
  # @param origin [String, nil]
  def initialize(visitor, origin: visitor.server.address, cookie: visitor.cookie)
    @socket = TCPSocket.new('127.0.0.1', visitor.server.port)
    @heard = []
    @news = Queue.new
    @count = 0
    shake_hands(visitor.server, origin, cookie)
    return unless @status == 101

    self.class.all << self
    @framer = Protocol::WebSocket::Framer.new(@socket)
    @reader = Thread.new { listen }
  end

  # Opens a wire and says hello.
  # @return [Wire] that has heard its welcome
  def self.join(server, who, scope, seen: nil)
    new(VisitorClient.new(server, as: who)).tap { |wire| wire.hello(scope, seen: seen) }
  end

  def hello(scope, seen: nil, version: 2)
    say({ t: 'hello', v: version, seen: seen, **scope }.compact)
    wait { |message| %w[welcome error].include?(message['t']) }
  end

  def say(message) = say_text(JSON.generate(message))

  def say_text(text)
    frame = Protocol::WebSocket::TextFrame.new(mask: MASK)
    frame.pack(text)
    frame.write(@socket)
    @socket.flush
  end

  # Gives a command and waits for the answer to it.
  # @return [Hash] the `done` or `refused` message
  def do(wire_name, stream, id: next_id, again: nil, **input) = give(wire_name, stream, input, id: id, again: again)

  # The same for input that has an id of its own.
  def give(wire_name, stream, input, id: next_id, again: nil)
    say({ t: 'do', id: id, do: wire_name, stream: stream, with: input, again: again }.compact)
    wait { |message| %w[done refused].include?(message['t']) && message['id'] == id }
  end

  # @return [Hash] the first message, heard already or still to come, for which the block is true
  def wait(seconds = Patience::SECONDS)
    deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + seconds
    from = 0
    loop do
      from = 0 if from > @heard.length
      # One by one: the reader goes on meanwhile, and a copy of all that was heard would be made for each look.
      while (message = @heard[from])
        return message if yield(message)

        from += 1
      end
      left = deadline - Process.clock_gettime(Process::CLOCK_MONOTONIC)
      raise "Not heard within #{seconds} s; last: #{@heard.last(3).inspect[0, 600]}" if left.negative?

      @news.empty? ? sleep(0.005) : @news.clear
    end
  end

  def wait_for(type) = wait { |message| message['t'] == type && (!block_given? || yield(message)) }

  # @return [Array<Hash>] entries heard of a stream, in the order they came
  def entries(stream) = @heard.select { |message| message['t'] == 'entry' && message['stream'] == stream }

  # Waits until an entry of the stream with this seq was heard.
  def caught_up(stream, seq) = wait { |message| message['t'] == 'entry' && message['stream'] == stream && message['seq'] >= seq }

  # What the welcome said of a stream.
  def part(stream)
    @heard.reverse.find { |message| message['t'] == 'welcome' }['streams'].find { |part| part['stream'] == stream }
  end

  # Goes away without a word.
  def cut
    @reader&.kill
    @socket.close
  end

  # Reads nothing any more, and stays.
  def deaf = @reader.kill

  def closed? = !@reader.alive?

  private

  def next_id = "w#{object_id}-#{@count += 1}"

  def shake_hands(server, origin, cookie)
    lines = ['GET /live HTTP/1.1', "Host: 127.0.0.1:#{server.port}", 'Upgrade: websocket', 'Connection: Upgrade',
             'Sec-WebSocket-Version: 13', 'Sec-WebSocket-Key: dGhlIHNhbXBsZSBub25jZQ==']
    lines << "Origin: #{origin}" if origin
    lines << "Cookie: #{cookie}" if cookie
    @socket.write("#{lines.join("\r\n")}\r\n\r\n")
    @status = @socket.gets[/ (\d+) /, 1].to_i
    nil until @socket.gets.strip.empty?
  end

  def listen
    loop do
      frame = @framer.read_frame
      next unless frame.is_a?(Protocol::WebSocket::TextFrame)

      text = frame.unpack
      @heard << JSON.parse(text).tap { |message| Shaped.message(message, text) if defined?(Shaped) }
      @news << true
    end
  rescue IOError, SystemCallError, Protocol::WebSocket::Error
    nil
  end
end
