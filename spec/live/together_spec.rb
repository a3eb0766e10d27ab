# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'The view of whoever leads' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:room) { "place/#{made[:sitting]}.main" }
  let(:view) { { board: made[:board], page: 'p1', x: 10, y: 20, w: 800, h: 450 } }
  let(:odalys) { join('odalys') }
  let(:farah) { join('farah') }

  def join(who) = Wire.join(server, who, { sitting: made[:sitting] })
  def show(wire, body = view, stream = room) = wire.say(t: 'now', stream: stream, kind: 'view', body: body)
  def glimpses(wire) = wire.heard.select { |message| message['t'] == 'now' }.flat_map { |message| message['all'] }

  def after_a_post
    farah
    id = "p#{rand(10**9)}"
    odalys.give('exchange.post', "exchange/#{made[:sitting]}.main", { id: id, text: id })
    farah.wait { |message| message['kind'] == 'posted' && message['body']['id'] == id }
    sleep 0.1
  end

  it 'reaches the others while the class is kept together, also that they look at something else' do
    odalys.do('class.keep_together', room, on: true)
    farah
    show(odalys)
    expect(farah.wait { |message| message['t'] == 'now' }['all']).to eq([{ 'by' => 'odalys', 'kind' => 'view', 'body' => JSON.parse(view.to_json) }])
    show(odalys, { elsewhere: true })
    farah.wait { |message| message['t'] == 'now' && message['all'].any? { |one| one['body'] == { 'elsewhere' => true } } }
  end

  it 'is nobody else’s: not of students, of other staff, of those who no longer lead, nor by another stream' do
    tomas = join('tomas')
    show(odalys)
    odalys.do('class.keep_together', room, on: true)
    [farah, tomas].each { |wire| show(wire) }
    show(odalys, view, "board/#{made[:board]}")
    show(odalys, view, "exchange/#{made[:sitting]}.main")
    tomas.do('class.keep_together', room, on: true)
    show(odalys)
    after_a_post
    expect(glimpses(farah)).to be_empty
  end

  it 'is refused when it is no view' do
    odalys.do('class.keep_together', room, on: true)
    [view.except(:w), view.merge(w: 0), view.merge(h: 1e9), view.merge(x: nil), view.merge(says: 'x'), view.merge(page: "\u0000"), {}, { elsewhere: 'yes' }].each do |body|
      show(odalys, body)
    end
    show(odalys, view.merge(x: Float::MAX))
    after_a_post
    expect(glimpses(farah)).to be_empty
    expect(odalys.heard.count { |message| message['t'] == 'error' }).to eq(9)
  end
end
