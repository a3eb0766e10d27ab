# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Reliability' do
  let(:made) { fresh_class }
  let(:sitting) { "sitting/#{made[:sitting]}" }
  let(:board) { "board/#{made[:board]}" }

  def join(server, who, **options) = Wire.join(server, who, { sitting: made[:sitting] }, **options)

  it 'loses nothing that was acknowledged when the server is killed under load' do
    server = Server.new
    wires = %w[odalys farah jonas].map { |who| join(server, who) }
    threads = wires.each_with_index.map do |wire, n|
      Thread.new do
        1_000.times do |i|
          wire.say(t: 'do', id: "k#{n}-#{i}", do: 'board.put', stream: board, with: { marks: [stroke("k#{n}-#{i}")] })
          sleep 0.026
        end
      rescue SystemCallError, IOError
        nil
      end
    end
    sleep 2
    server.kill
    threads.each(&:join)

    told = wires.flat_map(&:heard)
    acknowledged = told.select { |message| message['t'] == 'done' }.map { |message| message['id'] }.uniq
    shown = told.select do |message|
      message['t'] == 'entry' && message['stream'] == board
    end.to_h { |message| [message['seq'], message['cmd']] }
    stored = ARCHIVE.log.entries(board)

    expect(acknowledged.length).to be > 50
    expect(acknowledged - stored.map(&:command_id)).to be_empty
    expect(stored.map(&:command_id).uniq.length).to eq(stored.length)
    expect(stored.map(&:seq)).to eq((1..stored.length).to_a)
    expect(shown.to_a - stored.map { |entry| [entry.seq, entry.command_id] }).to be_empty
  end

  it 'takes commands up again after the server comes back, each once' do
    first = Server.new
    wire = join(first, 'odalys')
    wire.do('board.put', board, id: 'kept', marks: [stroke('kept')])
    first.kill
    back = join(Server.new, 'odalys', seen: { board => 1 })
    expect(back.do('board.put', board, id: 'kept', again: true, marks: [stroke('kept')])).to include('t' => 'done', 'seq' => 1)
    expect(back.do('board.put', board, id: 'lost', again: true, marks: [stroke('lost')])).to include('t' => 'done', 'seq' => 2)
  end

  it 'keeps two server processes on one class identical' do
    servers = Array.new(2) { Server.new }
    wires = [join(servers[0], 'odalys'), join(servers[1], 'farah')]
    wires.each_with_index.map do |wire, n|
      Thread.new do
        25.times do |i|
          wire.do('board.put', board, marks: [stroke("p#{n}-#{i}")])
        end
      end
    end.each(&:join)
    wires.each { |wire| wire.caught_up(board, 50) }

    orders = wires.map { |wire| wire.entries(board).map { |entry| [entry['seq'], entry['cmd']] } }
    expect(orders[0]).to eq(orders[1])
    expect(orders[0].map(&:first)).to eq((1..50).to_a)

    wires[0].say(t: 'now', stream: board, kind: 'pointer', body: { x: 1, y: 1, page: 'p1' })
    expect(wires[1].wait_for('now')['all'].first['by']).to eq('odalys')
    wires[0].do('class.rule', "place/#{made[:sitting]}.main", right: 'draw', allow: false)
    told = wires[1].wait_for('rights')['rights'].fetch("place/#{made[:sitting]}.main")
    expect(told['draw']['allowed']).to be(false)
  end

  it 'does not let a peer that never reads hold up others, and tells it the state when it reads again' do
    server = Server.shared
    odalys = join(server, 'odalys')
    slow = Wire.new(VisitorClient.new(server, as: 'farah'))
    slow.hello({ sitting: made[:sitting] })
    # Told once one is in; nobody stops reading in the middle of a message here.
    slow.wait_for('timing')
    sleep 0.2
    slow.instance_variable_get(:@reader).kill
    odalys.do('board.put', board, marks: [stroke('long')])
    # More than the buffers of two sockets and the outbox hold together.
    200.times do |i|
      points = Array.new(5_900) { |n| ((n + i) % 11_000) + 0.123 }
      expect(odalys.do('board.change', board, changes: [{ id: 'long', set: { points: points } }])['t']).to eq('done')
      # Whoever says nothing for long is hung up on, and a busy machine takes that long for all this.
      slow.say(t: 'ping') if (i % 10).zero?
    end
    slow.instance_variable_set(:@reader, Thread.new { slow.send(:listen) })
    welcome = slow.wait do |message|
      message['t'] == 'welcome' && message['streams'].any? do |part|
        part['stream'] == board && part['head'].positive?
      end
    end
    expect(welcome['streams'].find { |part| part['stream'] == board }['head']).to be > 50
    odalys.do('board.put', board, marks: [stroke('end')])
    slow.wait { |message| message['t'] == 'entry' && JSON.generate(message).include?('"end"') }
  end

  it 'refuses for the moment while the database is away, and goes on when it is back' do
    server = Server.new
    odalys = join(server, 'odalys')
    expect(server.let_go).to be_positive
    answers = Array.new(5) do |i|
      odalys.do('board.put', board, id: "away-#{i}", again: true, marks: [stroke("away-#{i}")]).tap do
        sleep 0.2
      end
    end
    expect(answers.filter_map { |answer| answer['code'] }.uniq - ['not_saved']).to be_empty
    expect(answers.last).to include('t' => 'done')
    farah = join(server, 'farah')
    odalys.do('board.put', board, marks: [stroke('later')])
    farah.wait { |message| JSON.generate(message).include?('"later"') }
  end

  it 'welcomes whoever comes while the database lets go of every connection, time after time' do
    server = Server.new
    visitors = %w[odalys farah jonas].map { |who| VisitorClient.new(server, as: who) }
    5.times do
      expect(server.let_go).to be_positive
      wires = visitors.map { |visitor| Thread.new { Wire.new(visitor) } }.map(&:value)
      expect(wires.map(&:status)).to all(eq(101))
      welcomes = wires.map { |wire| Thread.new { wire.hello({ sitting: made[:sitting] }) } }.map(&:value)
      expect(welcomes).to all(include('t' => 'welcome'))
      wires.each(&:cut)
    end
    expect(server.errors.grep(/Adapter::Rack/)).to be_empty
  end
end

RSpec.describe 'A rehearsal' do
  it 'has stand-ins who draw and write on copies of the boards' do
    server = Server.shared
    made = fresh_lesson
    perform('odalys', 'board.put', "board/#{made[:board]}", marks: [stroke('prepared')])
    visitor = VisitorClient.new(server, as: 'odalys')
    expect(visitor.post("/api/lessons/#{made[:lesson]}/rehearsals", { stand_ins: 31 }).code).to eq('bad_input')
    sitting = visitor.post("/api/lessons/#{made[:lesson]}/rehearsals", { stand_ins: 4 }).body['sitting']

    odalys = Wire.new(visitor)
    odalys.hello({ sitting: sitting })
    odalys.wait { |message| JSON.generate(message).include?('Damson (stand-in)') }
    odalys.do('class.open', "sitting/#{sitting}")
    odalys.do('class.move', "sitting/#{sitting}", step: 'one')
    odalys.wait do |message|
      message['t'] == 'entry' && message['by'].start_with?('stand-in-') && message['stream'] =~ /board|exchange/
    end
    expect(ARCHIVE.log.entries("board/#{made[:board]}").length).to eq(1)
    odalys.do('class.end', "sitting/#{sitting}")
  end
end
