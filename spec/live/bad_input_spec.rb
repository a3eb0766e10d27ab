# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Bad input over the live socket' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:board) { "board/#{made[:board]}" }
  let(:farah) { Wire.join(server, 'farah', { sitting: made[:sitting] }) }
  let(:onlooker) { Wire.join(server, 'odalys', { sitting: made[:sitting] }) }

  # Whatever came before, the class goes on, for the sender and for others.
  after do
    next unless @goes_on

    expect(farah.do('board.put', board, marks: [stroke('after')])).to include('t' => 'done')
    onlooker.wait { |message| JSON.generate(message).include?('"after"') }
    expect(ARCHIVE.log.entries(board).length).to eq(1)
  end

  def goes_on = @goes_on = true

  it 'names an unknown command' do
    goes_on
    onlooker
    expect(farah.do('board.explode', board)).to include('t' => 'refused', 'code' => 'unknown_command')
    expect(farah.do('class.join', "sitting/#{made[:sitting]}")).to include('code' => 'unknown_command')
  end

  it 'names the field that is missing, wrong or unknown' do
    goes_on
    onlooker
    expect(farah.do('board.put', board)['says']).to eq('This could not be read: marks is missing.')
    expect(farah.do('board.put', board, marks: 'all')['says']).to include('marks must be an array')
    expect(farah.do('board.put', board, marks: [stroke('m', by: 'odalys')])['says']).to include('marks.0.by is not allowed')
    expect(farah.do('exchange.post', board, id: 'a', text: 'hi')).to include('code' => 'wrong_stream')
  end

  it 'answers what is not JSON, not an object, or not a message' do
    goes_on
    onlooker
    ['{', '[]', '"x"', '{"t":"dance"}', '{"t":"do"}', "\u0000", '{"t":"now","stream":"x","kind":"ink","body":1}'].each do |text|
      before = farah.heard.length
      farah.say_text(text)
      expect(farah.wait { |message| message['t'] == 'error' && farah.heard.index(message) >= before }['code']).to eq('bad_input')
      farah.heard.clear
    end
  end

  it 'refuses over 64 kB and stays connected' do
    goes_on
    onlooker
    farah.say_text('x' * 70_000)
    expect(farah.wait_for('error')).to include('code' => 'too_large')
  end

  it 'refuses numbers that JSON reads as infinite' do
    goes_on
    onlooker
    mark = JSON.generate(stroke('m1')).sub('"x":10', '"x":1e999')
    farah.say_text(%({"t":"do","id":"inf","do":"board.put","stream":"#{board}","with":{"marks":[#{mark}]}}))
    expect(farah.wait_for('refused')['says']).to include('marks.0.x must be a finite number')
  end

  it 'ends the connection of one who sends a frame of megabytes, and no other' do
    onlooker
    farah.say_text('x' * 3_000_000)
    200.times do
      break if farah.closed?

      sleep 0.02
    end
    expect(farah).to be_closed
    expect(onlooker.do('board.put', board, marks: [stroke('m1')])).to include('t' => 'done')
  rescue Errno::EPIPE, Errno::ECONNRESET
    expect(onlooker.do('board.put', board, marks: [stroke('m1')])).to include('t' => 'done')
  end

  it 'does not open boards of staff, of other classes, or none at all' do
    other = fresh_class
    ["board/#{made[:staff_board]}", "board/#{other[:board]}", 'board/nowhere'].each do |stream|
      expect(farah.do('board.put', stream, marks: [stroke('m1')])).to include('t' => 'refused', 'code' => 'no_access')
    end
    expect(ARCHIVE.log.entries("board/#{made[:staff_board]}")).to be_empty
  end

  it 'turns away old pages, strangers and classes that are not there' do
    wire = Wire.new(VisitorClient.new(server, as: 'farah'))
    expect(wire.hello({ sitting: made[:sitting] }, version: 0)).to include('code' => 'old_version')
    expect(Wire.join(server, 'ruth', { sitting: made[:sitting] }).wait_for('error')).to include('code' => 'not_invited')
    expect(Wire.join(server, 'farah', { sitting: 'nowhere' }).wait_for('error')).to include('code' => 'no_such_class')
    expect(wire.do('board.put', board, marks: [stroke('m1')])).to include('code' => 'say_hello')
  end

  it 'opens no socket to other sites, to nobody, or to those not signed in' do
    visitor = VisitorClient.new(server, as: 'farah')
    expect(Wire.new(visitor, origin: 'https://elsewhere.example').status).to eq(403)
    expect(Wire.new(visitor, origin: nil).status).to eq(403)
    expect(Wire.new(visitor, cookie: nil).status).to eq(401)
  end

  it 'slows down who sends too much, and takes it when sent again' do
    onlooker
    answers = Array.new(200) do |i|
      farah.say(t: 'do', id: "f#{i}", do: 'board.put', stream: board, with: { marks: [stroke("f#{i}")] }) && i
    end
    refused = answers.filter_map do |i|
      farah.wait do |message|
        message['id'] == "f#{i}"
      end
    end.select { |message| message['t'] == 'refused' }
    expect(refused).not_to be_empty
    expect(refused.map { |message| message['code'] }.uniq).to eq(['too_fast'])
    sleep 1
    farah.heard.clear
    expect(farah.do('board.put', board, id: refused.first['id'], again: true, marks: [stroke('again')])).to include('t' => 'done')
  end
end
