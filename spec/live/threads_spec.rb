# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Threads on the wire' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:words) { "exchange/#{made[:sitting]}.main" }
  let(:thread) { "thread/#{made[:sitting]}.t1" }

  def join(who, at = server) = Wire.join(at, who, { sitting: made[:sitting] })

  def begin_thread(wire, people, staff: false, id: 't1', text: 'between us')
    wire.give('exchange.begin_thread', words, { id: id, people: people, staff: staff, post: { id: "#{id}-first", text: text } })
  end

  def heard_of(wire, what) = wire.heard.count { |message| JSON.generate(message).include?(what) }

  it 'reach those who are in them, on every page they have open, and nobody else on either server process' do
    second = Server.new
    odalys, farah, jonas, nils = join('odalys'), join('farah'), join('jonas', second), join('nils')
    jonas_again = join('jonas')
    expect(begin_thread(farah, ['jonas'])).to include('t' => 'done')
    [farah, jonas, jonas_again].each { |wire| wire.wait { |message| message['t'] == 'gained' && message['stream'] == thread } }
    expect(jonas.give('thread.post', thread, { id: 'answer', text: 'between us too' })).to include('t' => 'done')
    [farah, jonas_again].each { |wire| wire.wait { |message| JSON.generate(message).include?('between us too') } }
    # What everybody reads comes after it.
    farah.give('exchange.post', words, { id: 'loud', text: 'for everyone' })
    [odalys, nils].each do |wire|
      wire.wait { |message| JSON.generate(message).include?('for everyone') }
      expect(heard_of(wire, 'between us')).to eq(0)
      expect(heard_of(wire, '"t1"')).to eq(0)
    end
  end

  it 'are closed to whoever asks for them by their name' do
    farah, jonas, nils, odalys = join('farah'), join('jonas'), join('nils'), join('odalys')
    begin_thread(farah, ['jonas'])
    jonas.wait { |message| message['stream'] == thread }
    [nils, odalys].each do |wire|
      expect(wire.give('thread.post', thread, { id: 'forged', text: 'let me in' })).to include('code' => 'no_access')
      expect(wire.give('thread.react', thread, { id: 't1-first', sign: 'agree' })).to include('code' => 'no_access')
      expect(wire.give('exchange.begin_thread', words, { id: 't1', people: ['jonas'], staff: false, post: { id: 'forged', text: 'mine now' } }))
        .to include('code' => 'thread_exists')
      expect(wire.give('exchange.begin_thread', thread, { id: 't2', people: ['jonas'], staff: false, post: { id: 'x', text: 'y' } }))
        .to include('code' => 'wrong_stream')
    end
    again = Wire.new(VisitorClient.new(server, as: 'nils')).tap { |wire| wire.hello({ sitting: made[:sitting] }, seen: { thread => 0 }) }
    expect(JSON.generate(again.heard)).not_to include('between us', thread, '"t1"')
    pasts = [VisitorClient.new(server, as: 'nils'), VisitorClient.new(server, as: 'odalys')]
    pasts.each { |visitor| expect(JSON.generate(visitor.get("/api/recordings/#{made[:sitting]}/at?t=0").body)).not_to include('between us') }
  end

  it 'to staff come to all staff, and are there for those who come later' do
    farah, odalys = join('farah'), join('odalys')
    begin_thread(farah, [], staff: true, text: 'I am lost')
    odalys.wait { |message| message['t'] == 'gained' && JSON.generate(message).include?('I am lost') }
    tomas = join('tomas')
    expect(JSON.generate(tomas.wait_for('welcome'))).to include('I am lost')
    expect(tomas.give('thread.post', thread, { id: 'help', text: 'Look at page two' })).to include('t' => 'done')
    farah.wait { |message| JSON.generate(message).include?('Look at page two') }
  end

  it 'refuse what is no thread, in words, and leave the class as it was' do
    farah = join('farah')
    expect(begin_thread(farah, ['farah'])).to include('code' => 'thread_with_oneself')
    expect(begin_thread(farah, ['never-here'])['t']).to eq('refused')
    expect(begin_thread(farah, ['odalys'] * 40)).to include('code' => 'bad_input')
    expect(farah.give('thread.post', "thread/#{made[:sitting]}.nowhere", { id: 'x', text: 'y' })).to include('code' => 'no_access')
    expect(farah.give('exchange.post', words, { id: 'ok', text: 'still here' })).to include('t' => 'done')
  end
end
