# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Threads' do
  let(:hall) { sitting }
  let(:words) { Stage::Track.new('exchange/s1.main', hall.world) }
  let(:thread) { Stage::Track.new('thread/s1.t', hall.world) }
  let(:odalys) { person(:odalys) }
  let(:tomas) { person(:tomas) }
  let(:farah) { person(:farah) }
  let(:jonas) { person(:jonas) }

  def begin_thread(by, people = [], staff: false, id: 't', text: 'Yours?')
    words.do(by, 'exchange.begin_thread', { id: id, people: people.map(&:id), staff: staff, post: { id: "#{id}-first", text: text } })
  end

  def reads(who) = Core::Access::InClass.new(who, hall.state, hall.staff, hall.own(who.id)).streams.include?('thread/s1.t')
  def everyone_who_reads = [odalys, tomas, farah, jonas, person(:oona)].select { |who| reads(who) }.map(&:id)

  before { hall.do(tomas, 'class.join') }

  it 'are read by those who are in them, and by nobody else' do
    begin_thread(farah, [jonas])
    expect(everyone_who_reads).to eq(%w[farah jonas])
    expect(thread.state.posts.values.map { |post| post.values_at(:by, :text, :to) }).to eq([['farah', 'Yours?', 'thread']])
    expect(Core::Access.recorded(hall.state)).not_to include(/thread/)
  end

  it 'to staff are read by all staff, also by those who come later; one of them alone may be written to' do
    begin_thread(farah, staff: true)
    expect(everyone_who_reads).to eq(%w[odalys tomas farah])
    begin_thread(jonas, [tomas], id: 'u')
    mine = [odalys, tomas, jonas].select { |who| Core::Access::InClass.new(who, hall.state, hall.staff, hall.own(who.id)).reads?('thread/s1.u') }
    expect(mine).to eq([tomas, jonas])
  end

  it 'are not opened by oversight that is switched on later, and not closed when it is switched off' do
    begin_thread(farah, [jonas])
    hall.do(odalys, 'class.set_exchange', { oversight: true })
    expect(reads(odalys)).to be(false)
    begin_thread(farah, [jonas], id: 'u')
    hall.do(odalys, 'class.set_exchange', { oversight: false })
    expect(Core::Access::InClass.new(odalys, hall.state, hall.staff, hall.own('odalys')).reads?('thread/s1.u')).to be(true)
  end

  it 'between students need the right to write to one another; with staff they never do' do
    hall.do(odalys, 'class.rule', { right: 'threads', allow: false })
    expect { begin_thread(farah, [jonas]) }.to refusing(:may_not_threads)
    expect { begin_thread(farah, [jonas], staff: true) }.to refusing(:may_not_threads)
    begin_thread(farah, [odalys])
    expect(everyone_who_reads).to eq(%w[odalys farah])
    begin_thread(odalys, [jonas, farah], id: 'u')
    expect { Stage::Track.new('thread/s1.u', hall.world).do(jonas, 'thread.post', { id: 'x', text: 'So?' }) }.to refusing(:may_not_threads)
    expect { thread.do(farah, 'thread.post', { id: 'x', text: 'I do not follow' }) }.not_to raise_error
  end

  it 'with oneself, with nobody, with people who were never here, or a second of the same name are refused' do
    expect { begin_thread(farah, [farah]) }.to refusing(:thread_with_oneself)
    expect { begin_thread(farah) }.to refusing(:thread_with_oneself)
    expect { begin_thread(farah, [person(:oona)]) }.to refusing(:not_here)
    expect { begin_thread(person(:oona), [farah]) }.to refusing(:not_here)
    begin_thread(farah, [jonas])
    expect { begin_thread(odalys, [jonas]) }.to refusing(:thread_exists)
    expect(everyone_who_reads).to eq(%w[farah jonas])
  end

  it 'whose others have left take no more posts, while somebody who dropped may come back to them' do
    begin_thread(farah, [jonas])
    hall.do(jonas, 'class.drop', { since: nil }.compact)
    thread.do(farah, 'thread.post', { id: 'a', text: 'Still there?' })
    hall.do(jonas, 'class.leave', { place: 'main' })
    expect { thread.do(farah, 'thread.post', { id: 'b', text: 'Hello?' }) }.to refusing(:not_here)
    expect { begin_thread(farah, [jonas], id: 'u') }.to refusing(:not_here)
  end

  it 'are taken from those who are sent out, and are theirs again when they come back' do
    begin_thread(farah, [jonas])
    hall.do(odalys, 'class.send_to_wait', { person: 'jonas', place: 'main' })
    expect(everyone_who_reads).to eq(%w[farah])
    expect { thread.do(farah, 'thread.post', { id: 'b', text: 'Hello?' }) }.to refusing(:not_here)
    hall.do(odalys, 'class.let_in', { people: ['jonas'] })
    expect(everyone_who_reads).to eq(%w[farah jonas])
  end

  it 'end with the class, and can be read on' do
    begin_thread(farah, [jonas])
    hall.do(odalys, 'class.end')
    expect { thread.do(farah, 'thread.post', { id: 'b', text: 'Late' }) }.to refusing(:class_ended)
    expect(everyone_who_reads).to eq(%w[farah jonas])
  end

  it 'are told of on the streams of those who are in them alone' do
    begin_thread(farah, [jonas], text: 'a secret')
    told = hall.world.state('staff/s1').view.merge(hall.state.view).to_json + hall.place.view.to_json + hall.own('odalys').view.to_json
    expect(told).not_to match(/secret|"t"/)
    expect(hall.own('jonas').threads).to eq([{ id: 't', people: [{ id: 'farah', name: 'Farah Lindqvist' }, { id: 'jonas', name: 'Jonas Whitlock' }], staff: false }])
  end

  it 'are folded and restored as they are' do
    begin_thread(farah, [jonas])
    thread.do(jonas, 'thread.react', { id: 't-first', sign: 'thanks' })
    expect(thread.restored.to_h).to eq(thread.state.to_h)
    expect(thread.refolded.to_h).to eq(thread.state.to_h)
    expect(hall.world.restored('own/s1.farah').to_h).to eq(hall.own('farah').to_h)
  end

  it 'are as many as one can follow' do
    most = Core::Exchange::Thread::MOST
    most.times { |i| begin_thread(farah, [jonas], id: "t#{i}") }
    expect { begin_thread(farah, [jonas], id: 'more') }.to refusing(:too_many_threads)
    # Nobody can take it from somebody else to ask for help, however much they write to them.
    expect { begin_thread(jonas, [odalys], id: 'help') }.not_to raise_error
  end
end

RSpec.describe 'Posts that are kept at hand' do
  let(:hall) { sitting }
  let(:words) { Stage::Track.new('exchange/s1.main', hall.world) }
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }

  before { 4.times { |i| words.do(farah, 'exchange.post', { id: "p#{i}", text: "Post #{i}" }) } }

  def post(id) = words.state.posts[id]

  it 'take one sign of each person, which can be another or taken back' do
    words.do(farah, 'exchange.react', { id: 'p0', sign: 'agree' })
    words.do(person(:jonas), 'exchange.react', { id: 'p0', sign: 'agree' })
    words.do(farah, 'exchange.react', { id: 'p0', sign: 'puzzled' })
    expect(post('p0')[:reactions]).to eq([{ person: 'jonas', sign: 'agree' }, { person: 'farah', sign: 'puzzled' }])
    expect(words.do(farah, 'exchange.react', { id: 'p0', sign: 'puzzled' })).to be_nil
    [farah, person(:jonas)].each { |who| words.do(who, 'exchange.react', { id: 'p0' }) }
    expect(post('p0')).not_to include(:reactions)
    expect { words.do(farah, 'exchange.react', { id: 'p0', sign: 'bored' }) }.to refusing(:bad_input)
    expect { words.do(farah, 'exchange.react', { id: 'zz', sign: 'agree' }) }.to refusing(:no_such_post)
  end

  it 'take no signs where that is switched off' do
    hall.do(odalys, 'class.set_exchange', { reactions: false })
    expect { words.do(farah, 'exchange.react', { id: 'p0', sign: 'agree' }) }.to refusing(:reactions_off)
  end

  it 'stay in view, three of them at most, until they are taken down or deleted' do
    %w[p0 p1 p2].each { |id| words.do(odalys, 'exchange.pin', { id: id, on: true }) }
    expect { words.do(odalys, 'exchange.pin', { id: 'p3', on: true }) }.to refusing(:pinned_full)
    words.do(odalys, 'exchange.pin', { id: 'p1', on: false })
    words.do(odalys, 'exchange.delete', { id: 'p2' })
    expect(words.state.pinned).to eq(['p0'])
    expect { words.do(odalys, 'exchange.pin', { id: 'p2', on: true }) }.to refusing(:no_such_post)
  end

  it 'wait in a list, are ticked off and taken out again; who joins late is sent them too' do
    words.do(odalys, 'exchange.park', { id: 'p0', parked: 'waiting' })
    words.do(odalys, 'exchange.pin', { id: 'p1', on: true })
    205.times { |i| words.do(farah, 'exchange.post', { id: "later#{i}", text: 'x' }) }
    expect(words.state.view[:posts].first(3).map { |one| one[:id] }).to eq(%w[p0 p1 later5])
    words.do(odalys, 'exchange.park', { id: 'p0', parked: 'done' })
    expect(post('p0')[:parked]).to eq('done')
    words.do(odalys, 'exchange.park', { id: 'p0' })
    expect(post('p0')).not_to include(:parked)
    expect(words.restored.to_h).to eq(words.state.to_h)
  end
end
