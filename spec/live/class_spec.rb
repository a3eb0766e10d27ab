# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'A class over real sockets' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:sitting) { "sitting/#{made[:sitting]}" }
  let(:board) { "board/#{made[:board]}" }
  let(:exchange) { "exchange/#{made[:sitting]}.main" }
  let(:room) { "place/#{made[:sitting]}.main" }
  let(:doors) { "place/#{made[:sitting]}.waiting" }
  let(:staff) { "staff/#{made[:sitting]}" }

  def join(who, **options) = Wire.join(server, who, { sitting: made[:sitting] }, **options)

  it 'welcomes with everything one may read, and nothing else' do
    farah = join('farah')
    names = farah.wait_for('welcome')['streams'].map { |part| part['stream'] }
    expect(names).to contain_exactly(sitting, "questions/#{made[:sitting]}", room, exchange, "own/#{made[:sitting]}.farah", board)
    expect(farah.wait_for('welcome')['you']).to include('id' => 'farah', 'role' => 'student', 'staff' => false)
    expect(JSON.generate(farah.heard)).not_to include('private words')
  end

  it 'shows what one draws to all, in the same order for each' do
    wires = %w[odalys farah jonas].map { |who| join(who) }
    threads = wires.each_with_index.map do |wire, n|
      Thread.new do
        15.times do |i|
          wire.do('board.put', board, marks: [stroke("m#{n}-#{i}")])
        end
      end
    end
    threads.each(&:join)
    wires.each { |wire| wire.caught_up(board, 45) }

    orders = wires.map { |wire| wire.entries(board).map { |entry| [entry['seq'], entry['cmd']] } }
    expect(orders.uniq.length).to eq(1)
    expect(orders.first.map(&:first)).to eq((1..45).to_a)
  end

  it 'shows an entry only once it is stored' do
    odalys = join('odalys')
    farah = join('farah')
    odalys.do('board.put', board, marks: [stroke('m1')])
    farah.caught_up(board, 1)
    expect(ARCHIVE.log.entries(board).map { |entry| entry.body[:ops].first[:mark][:id] }).to eq(['m1'])
  end

  it 'passes on glimpses without keeping them' do
    odalys = join('odalys')
    farah = join('farah')
    odalys.say(t: 'now', stream: board, kind: 'pointer', body: { x: 5, y: 6, page: 'p1' })
    glimpse = farah.wait_for('now')['all'].first
    expect(glimpse).to eq('by' => 'odalys', 'kind' => 'pointer', 'body' => { 'x' => 5, 'y' => 6, 'page' => 'p1' })
    expect(ARCHIVE.log.entries(board)).to be_empty
  end

  it 'tells everyone at once what a step lets them do' do
    steps = ARCHIVE.lessons.fetch(made[:lesson])[:steps].map { |step| step[:id] == 'two' ? step.merge(rules: { draw: false, post: true, props: false }) : step }
    fresh = fresh_lesson
    ARCHIVE.lessons.lay(fresh[:lesson], steps: steps.map { |step| step.merge(board: nil) })
    ruled = fresh_class(**fresh)
    odalys, farah = %w[odalys farah].map { |who| Wire.join(server, who, { sitting: ruled[:sitting] }) }
    odalys.do('class.move', "sitting/#{ruled[:sitting]}", step: 'two')
    told = farah.wait_for('rights')['rights'].fetch("place/#{ruled[:sitting]}.main")
    expect(told.transform_values { |right| right['allowed'] }).to include('draw' => false, 'post' => true, 'props' => false, 'arrange' => false)
  end

  it 'takes rights away at once, says why, and sends no glimpse of those who may not draw' do
    odalys = join('odalys')
    farah = join('farah')
    odalys.do('class.rule', room, right: 'draw', allow: false)
    told = farah.wait_for('rights')
    expect(told['rights'][room]['draw']).to include('allowed' => false, 'says' => 'Students may not draw on this board just now.')
    expect(farah.do('board.put', board, marks: [stroke('m1')])).to include('t' => 'refused', 'code' => 'may_not_draw')
    farah.say(t: 'now', stream: board, kind: 'pointer', body: { x: 1, y: 1, page: 'p1' })
    odalys.say(t: 'now', stream: board, kind: 'pointer', body: { x: 2, y: 2, page: 'p1' })
    farah.wait_for('now')
    # One is told one's own glimpses too; whatever comes with them has come by then.
    odalys.wait_for('now')
    expect(odalys.heard.select { |message| message['t'] == 'now' }.flat_map do |message|
      message['all'].map do |one|
        one['by']
      end
    end.uniq).to eq(['odalys'])
  end

  describe 'at the doors' do
    let(:made) { fresh_class(open: false) }

    it 'shows boards to those who wait only when the doors open' do
      farah = join('farah')
      expect(farah.wait_for('welcome')['streams'].map { |part| part['stream'] }).to contain_exactly(doors, "own/#{made[:sitting]}.farah")
      expect(farah.do('board.put', board, marks: [stroke('m1')])).to include('code' => 'no_access')
      odalys = join('odalys')
      odalys.do('class.open', sitting)
      farah.wait_for('gained') { |message| message['stream'] == board }
      expect(farah.do('board.put', board, marks: [stroke('m1')])).to include('t' => 'done')
    end
  end

  describe 'after a cut' do
    it 'takes up where it left off: nothing twice, nothing missing' do
      odalys = join('odalys')
      farah = join('farah')
      3.times { |i| odalys.do('board.put', board, marks: [stroke("before#{i}")]) }
      farah.caught_up(board, 3)
      farah.cut
      4.times { |i| odalys.do('board.put', board, marks: [stroke("while#{i}")]) }

      back = join('farah', seen: { board => 3 })
      missed = back.part(board)['entries']
      odalys.do('board.put', board, marks: [stroke('after')])
      back.caught_up(board, 8)
      expect(missed.map { |entry| entry['seq'] } + back.entries(board).map { |entry| entry['seq'] }).to eq((4..8).to_a)
    end

    it 'is sent a snapshot when that is less than what was missed' do
      odalys = join('odalys')
      odalys.do('board.put', board, marks: [stroke('m1')])
      at = Lessons::NOW.call
      performer = Veranda::Deciding::Performer.new(ARCHIVE.log)
      orders = Array.new(310) do |i|
        Veranda::Deciding::Order.of('board.change', { 'changes' => [{ 'id' => 'm1', 'set' => { 'x' => i + 20 } }] }, stream: board,
                                                                                                                     by: Demo::School.person('odalys'))
      end
      orders.each_slice(50) { |batch| performer.perform(batch, at: at) }
      part = join('farah', seen: { board => 1 }).part(board)
      expect(part['head']).to eq(311)
      expect(part['view']['marks'].map { |mark| mark['x'] }).to eq([329])
    end

    it 'does not carry out a command twice when it is sent again' do
      odalys = join('odalys')
      first = odalys.do('class.extend', sitting, minutes: 2, id: 'never-begun')
      expect(first['code']).to eq('no_step_yet')
      odalys.do('class.move', sitting, step: 'one')
      done = odalys.do('class.extend', sitting, minutes: 2, id: 'extend-once')
      odalys.cut
      again = join('odalys').do('class.extend', sitting, minutes: 2, id: 'extend-once', again: true)
      expect(again['seq']).to eq(done['seq'])
      expect(ARCHIVE.sittings.state(made[:sitting]).extra.values).to eq([120_000])
    end
  end

  describe 'presence' do
    def presence(who) = ARCHIVE.sittings.state(made[:sitting]).seats[who]&.presence

    it 'keeps the seat while one of two tabs stays, and says so when the last goes' do
      odalys = join('odalys')
      tabs = [join('farah'), join('farah')]
      tabs.first.cut
      odalys.do('class.move', sitting, step: 'one')
      expect(presence('farah')).to eq('here')
      tabs.last.cut
      odalys.wait_for('entry') { |message| message['kind'] == 'dropped' && message['by'] == 'farah' }
      join('farah')
      odalys.wait do |message|
        message['t'] == 'entry' && message['by'] == 'farah' && message['kind'] == 'joined' && message['seq'] > 5
      end
      expect(presence('farah')).to eq('here')
    end

    it 'lets the seat go at once of someone who says goodbye' do
      odalys = join('odalys')
      farah = join('farah')
      farah.say(t: 'bye')
      odalys.wait_for('entry') { |message| message['kind'] == 'left' && message['by'] == 'farah' }
    end
  end

  it 'ends for everyone, and keeps boards and posts readable' do
    odalys = join('odalys')
    farah = join('farah')
    odalys.do('class.end', sitting)
    farah.wait_for('entry') { |message| message['kind'] == 'ended' }
    farah.wait_for('rights') { |message| message['rights'][room]['post']['code'] == 'class_ended' }
    expect(join('farah').part(board)).to include('head' => 0)
    expect(join('jonas').wait_for('error')).to include('code' => 'class_ended')
  end
end

RSpec.describe 'Preparing a lesson over a socket' do
  let(:server) { Server.shared }

  it 'is for staff, with the plan and all boards of the lesson' do
    made = fresh_lesson
    odalys = Wire.join(server, 'odalys', { lesson: made[:lesson] })
    told = odalys.wait_for('welcome')['streams'].map { |part| part['stream'] }
    expect(told).to eq(["plan/#{made[:lesson]}", "board/#{made[:board]}", "board/#{made[:staff_board]}"])
    expect(odalys.do('board.put', "board/#{made[:board]}", marks: [stroke('m1')])).to include('t' => 'done')
  end

  it 'takes in boards that are made meanwhile, also in a lesson that had none' do
    lesson = ARCHIVE.lessons.create(course_id: 'navigation', title: 'Empty', minutes: 30, starts_at: Time.now + 600)
    odalys = Wire.join(server, 'odalys', { lesson: lesson })
    odalys.wait_for('welcome')
    made = VisitorClient.new(server, as: 'odalys').post("/api/lessons/#{lesson}/boards", { name: 'First' }).body
    expect(odalys.wait_for('gained')).to include('stream' => "board/#{made['id']}")
    expect(odalys.do('board.put', "board/#{made['id']}", marks: [stroke('m1')])).to include('t' => 'done')
  end

  it 'closes a board to students at once when it is for staff, and says so' do
    made = fresh_lesson
    farah = Wire.join(server, 'farah', { lesson: made[:lesson] })
    farah.wait_for('welcome')
    VisitorClient.new(server, as: 'odalys').patch("/api/boards/#{made[:board]}", { audience: 'staff' })
    expect(farah.wait_for('lost')).to include('stream' => "board/#{made[:board]}", 'says' => 'That board is no longer open to you.')
  end

  it 'gives students the boards that are open to them outside of class, to read or to work on' do
    made = fresh_lesson
    farah = Wire.join(server, 'farah', { lesson: made[:lesson] })
    expect(farah.wait_for('welcome')['streams'].map { |part| part['stream'] }).to eq(["board/#{made[:board]}"])
    expect(farah.do('board.put', "board/#{made[:board]}", marks: [stroke('m1')])).to include('code' => 'board_for_reading')
    ARCHIVE.lessons.update_board(made[:board], outside: 'work')
    expect(farah.do('board.put', "board/#{made[:board]}", marks: [stroke('m1')])).to include('t' => 'done')
  end
end
