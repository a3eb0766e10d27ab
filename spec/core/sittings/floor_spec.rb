# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'The floor' do
  let(:hall) { sitting }
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }
  let(:jonas) { person(:jonas) }

  def holder = hall.place.floor&.fetch(:person)
  def may?(right, who, at: nil) = Core::Rights::Ask.call(right, by: person(who), sitting: hall.state, place: hall.place, at: at).allowed?
  def lend(**input) = hall.do(odalys, 'class.lend_floor', input)
  def forbid = Core::Rights::RIGHTS.each_key { |right| hall.do(odalys, 'class.rule', { right: right.to_s, allow: false }) }

  it 'lets one person speak, draw and share, whatever the rules say, and nothing else' do
    forbid
    lend(person: 'farah')
    expect(Core::Rights::RIGHTS.keys.select { |right| may?(right, :farah) }).to match_array(%i[speak draw share])
    expect(Core::Rights::RIGHTS.keys.select { |right| may?(right, :jonas) }).to be_empty
  end

  it 'leaves rules and exceptions as they were, before and after' do
    hall.do(odalys, 'class.rule', { right: 'draw', allow: false })
    hall.do(odalys, 'class.rule', { right: 'share', allow: true, person: 'farah' })
    before = hall.place.rules.to_h
    lend(person: 'farah')
    hall.do(odalys, 'class.take_floor')
    expect(hall.place.rules.to_h).to eq(before)
    expect([may?(:draw, :farah), may?(:share, :farah)]).to eq([false, true])
  end

  it 'goes to the next hand, which goes down, and from one to the other' do
    [jonas, farah].each { |who| hall.do(who, 'class.raise_hand') }
    lend
    expect([holder, hall.place.hands]).to eq(['jonas', ['farah']])
    lend
    expect([holder, hall.place.hands]).to eq(['farah', []])
    expect { lend }.to refusing(:no_hand)
    expect(holder).to eq('farah')
  end

  it 'passes over the hands of staff, who need none' do
    hall.do(odalys, 'class.raise_hand')
    expect { lend }.to refusing(:no_hand)
    hall.do(farah, 'class.raise_hand')
    lend
    expect([holder, hall.place.hands]).to eq(['farah', ['odalys']])
    expect { lend(person: 'odalys') }.to refusing(:staff_may)
  end

  it 'is lent by staff alone, to people who are in the room' do
    expect { hall.do(farah, 'class.lend_floor', { person: 'farah' }) }.to refusing(:staff_only)
    hall.do(jonas, 'class.leave', { place: 'main' })
    %w[jonas oona].each { |id| expect { lend(person: id) }.to refusing(:not_here) }
    hall.do(odalys, 'class.end')
    expect { lend(person: 'farah') }.to refusing(:class_ended)
  end

  it 'is lent to several who present together, each of whom gives it back for themselves' do
    forbid
    hall.do(jonas, 'class.raise_hand')
    lend(people: %w[farah jonas oona odalys], seconds: 60)
    expect(hall.place.floor).to include(person: 'farah', with: ['jonas'])
    expect([hall.place.hands, may?(:draw, :farah), may?(:draw, :jonas), may?(:draw, :oona)]).to eq([[], true, true, false])
    ends = hall.place.floor[:until]
    hall.do(farah, 'class.take_floor')
    expect(hall.place.floor).to include(person: 'jonas', with: [], until: ends)
    expect { hall.do(farah, 'class.take_floor') }.to refusing(:staff_only)
    hall.do(jonas, 'class.take_floor')
    expect(hall.place.floor).to be_nil
    expect { lend(people: %w[odalys oona]) }.to refusing(:not_here)
  end

  it 'is taken from one of several, and stays with those who remain when one goes' do
    lend(people: %w[farah jonas])
    hall.do(odalys, 'class.take_floor', { person: 'farah' })
    expect(Core::Sittings::Floor.people(hall.place.floor)).to eq(['jonas'])
    hall.do(odalys, 'class.take_floor', { person: 'farah' })
    expect(holder).to eq('jonas')
    lend(people: %w[farah jonas])
    hall.do(farah, 'class.leave', { place: 'main' })
    expect(Core::Sittings::Floor.people(hall.place.floor)).to eq(['jonas'])
  end

  it 'reads the floor of earlier versions, which one person had' do
    old = Core::Sittings::Place.from(hall.place.to_h.merge(floor: { person: 'farah', since: 1, until: nil }))
    expect(Core::Sittings::Floor.people(old.floor)).to eq(['farah'])
  end

  it 'is over after a set time, to the millisecond, though nobody has taken it back' do
    forbid
    hall.do(odalys, 'class.lend_floor', { person: 'farah', seconds: 60 }, at: 2_000_000)
    expect(hall.place.floor).to eq(person: 'farah', with: [], since: 2_000_000, until: 2_060_000)
    expect([2_059_999, 2_060_000].map { |at| may?(:draw, :farah, at: at) }).to eq([true, false])
    expect([Core::Sittings::Floor.over?(nil, 5), Core::Sittings::Floor.over?(hall.place.floor, 2_060_000)]).to eq([false, true])
    expect { board(sitting: hall).do(farah, 'board.put', { marks: [stroke('late')] }, at: 2_060_000) }.to refusing(:may_not_draw)
  end

  it 'is extended by lending it again with a time, and by that alone' do
    lend(person: 'farah')
    expect(lend(person: 'farah')).to be_nil
    hall.do(odalys, 'class.lend_floor', { person: 'farah', seconds: 90 }, at: 3_000_000)
    expect(hall.place.floor[:until]).to eq(3_090_000)
    [9, 3_601].each { |seconds| expect { lend(person: 'farah', seconds: seconds) }.to refusing(:bad_input) }
  end

  it 'is given back by whoever has it, and taken by staff' do
    expect(hall.do(odalys, 'class.take_floor')).to be_nil
    lend(person: 'farah')
    expect { hall.do(jonas, 'class.take_floor') }.to refusing(:staff_only)
    hall.do(farah, 'class.take_floor')
    expect(holder).to be_nil
  end

  it 'is not taken from who has it anew' do
    lend(person: 'farah')
    since = hall.place.floor[:since]
    lend(person: 'jonas')
    expect(hall.do(odalys, 'class.take_floor', { since: since })).to be_nil
    expect(holder).to eq('jonas')
    hall.do(odalys, 'class.take_floor', { since: hall.place.floor[:since] })
    expect(holder).to be_nil
  end

  it 'is kept while one is away for a moment, and returns when one leaves' do
    lend(person: 'farah')
    hall.do(farah, 'class.drop')
    expect(holder).to eq('farah')
    hall.do(jonas, 'class.leave', { place: 'main' })
    expect(holder).to eq('farah')
    hall.do(farah, 'class.leave', { place: 'main' })
    expect(holder).to be_nil
  end

  it 'is the same when read back' do
    lend(person: 'farah', seconds: 60)
    place = 'place/s1.main'
    expect(hall.world.restored(place).to_h).to eq(hall.world.refolded(place).to_h)
    expect(hall.world.restored(place).floor).to eq(hall.place.floor)
  end
end
