# frozen_string_literal: true

require_relative '../spec_helper'

# What a student really hears of a small class, with a cut in it, is kept in `spec/golden/heard.json` for the browser's live client
# (`web/src/live/heard.test.ts`). After the protocol has changed, `GOLDEN=write bin/test spec/live/heard_spec.rb` hears it anew.
RSpec.describe 'What is heard of a class' do
  let(:server) { Server.shared }
  let(:made) { fresh_class(open: false) }
  let(:sitting) { "sitting/#{made[:sitting]}" }
  let(:room) { "place/#{made[:sitting]}.main" }
  let(:exchange) { "exchange/#{made[:sitting]}.main" }
  let(:board) { "board/#{made[:board]}" }
  let(:odalys) { join('odalys') }

  def join(who, **options) = Wire.join(server, who, { sitting: made[:sitting] }, **options)

  def audience(who) = VisitorClient.new(server, as: 'odalys').patch("/api/boards/#{made[:board]}", { audience: who })

  def opened
    farah = join('farah')
    odalys.do('class.open', sitting)
    farah.wait_for('gained')
    farah
  end

  def drawn(farah)
    odalys.say(t: 'now', stream: board, kind: 'pointer', body: { page: 'p1', x: 40, y: 50 })
    odalys.say(t: 'now', stream: exchange, kind: 'typing', body: {})
    odalys.say(t: 'now', stream: board, kind: 'ink', body: { id: 'w', page: 'p1', x: 1, y: 2, kind: 'stroke', ink: 'lake', width: 4, from: 0, points: [0, 0, 5, 5] })
    2.times { farah.wait_for('now') { |message| message['stream'] == board } }
    odalys.do('board.put', board, marks: [stroke('m1'), stroke('m2'), { **stroke('m3'), kind: 'line' }])
    farah.do('board.put', board, marks: [stroke('own')])
    farah.do('board.undo', board)
    odalys.do('board.change', board, changes: [{ id: 'm1', ink: 'rust' }])
  end

  def ruled(farah)
    farah.give('exchange.post', exchange, { id: 'p1', text: 'Which light is that?' })
    farah.do('class.raise_hand', room)
    odalys.do('class.rule', room, right: 'draw', allow: false)
    farah.wait_for('rights')
    farah.do('board.put', board, marks: [stroke('late')])
    odalys.do('class.move', sitting, step: 'two')
    odalys.do('class.lend_floor', room, person: 'farah', seconds: 60)
    farah.do('class.signal', room, signal: 'slower')
    farah.do('class.signal', room)
    farah.do('class.take_floor', room)
    farah.do('class.signal', room, signal: 'yes')
  end

  def missed
    odalys.do('board.put', board, marks: [stroke('m4')])
    odalys.give('exchange.post', exchange, { id: 'p2', text: 'The one to port.' })
    odalys.do('class.show', room, board: made[:board], page: 'p1')
    audience('staff')
  end

  def followed(farah)
    farah.wait_for('welcome')
    audience('everyone')
    farah.wait_for('gained')
    odalys.do('board.remove', board, ids: ['m2'])
    audience('staff')
    farah.wait_for('lost')
    audience('everyone')
    farah.wait { farah.heard.count { |message| message['t'] == 'gained' } == 2 }
    odalys.do('class.show', room, board: made[:board], page: 'p1')
    odalys.do('class.record', sitting, on: true)
    odalys.give('exchange.post', exchange, { id: 'last', text: 'Good.' })
    farah.wait { |message| message['kind'] == 'posted' && message['body']['id'] == 'last' }
  end

  def heads(farah)
    farah.heard.flat_map { |message| message['streams'] || [message] }.select { |part| part['stream'] && (part['head'] || part['seq']) }
         .to_h { |part| [part['stream'], part['head'] || part['seq']] }
  end

  it 'comes to what is told to whoever comes later' do
    farah = opened
    drawn(farah)
    ruled(farah)
    farah.cut
    missed
    back = join('farah', seen: heads(farah))
    followed(back)
    heard = [farah.heard, back.heard].map(&:dup)
    later = join('farah').wait_for('welcome')['streams']
    written = Golden.cases('heard', [*heard, later])

    kinds = ->(parts) { parts.flatten.map { |message| message.values_at(:t, :kind) }.uniq.sort_by(&:inspect) }
    expect(kinds.call(written)).to include(*kinds.call(JSON.parse(JSON.generate(heard), symbolize_names: true)))
    written.first(2).flatten.each { |message| JSON.generate(message).then { |text| Shaped.message(JSON.parse(text), text) } }
    expect(heard.last.first['streams'].find { |part| part['stream'] == exchange }['entries'].map { |entry| entry['body']['id'] }).to eq(['p2'])
  end
end
