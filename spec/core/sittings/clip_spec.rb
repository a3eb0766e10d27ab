# frozen_string_literal: true

require_relative '../../core_helper'

# What plays for everybody at the same moment.
RSpec.describe Veranda::Core::Sittings::Clip do
  let(:hall) { sitting }
  let(:odalys) { person(:odalys) }
  let(:clip) { -> { hall.world.state('place/s1.main').clip } }
  let(:at) { -> { described_class.position(clip.call, hall.clock) } }

  before { hall.do(odalys, 'class.put_on_clip', { material: 'm', version: 1, kind: 'clip', title: 'Fog', length: 20_000 }) }

  def set(**input) = hall.do(odalys, 'class.set_clip', { material: 'm', **input })

  it 'goes on from where it was, whatever is changed of it' do
    hall.clock += 3_000
    set(speed: 2.0)
    before = at.call
    expect(before).to be >= 3_000
    hall.clock += 1_000
    expect(at.call).to eq(before + 2_000)
    set(playing: false)
    held = at.call
    hall.clock += 9_000
    expect(at.call).to eq(held)
    set(at: 19_000, playing: true)
    hall.clock += 5_000
    expect(at.call).to eq(20_000)
  end

  it 'plays a stretch again and again, and not one that is none' do
    set(at: 1_000, loop: [1_000, 3_000], speed: 1.0)
    seen = Array.new(5) { (hall.clock += 1_000) && at.call }
    expect(seen).to eq([2_000, 1_000, 2_000, 1_000, 2_000])
    [[3_000, 1_000], [0, 100], [-1, 5_000], [0, 90_000], %w[a b], [1.5, 4_000]].each do |stretch|
      expect { set(loop: stretch) }.to raise_error(Core::Refusal)
    end
    set(loop: nil)
    expect(clip.call[:loop]).to be_nil
  end

  it 'is fired by a cue, once somebody has chosen what it plays' do
    cue = ->(**more) { { id: 'c', kind: 'clip', **more } }
    step = ->(cues) { Stage::PLAN[:steps].each_with_index.map { |one, i| i.zero? ? one.merge(cues: cues) : one } }
    fired = ->(cues) { sitting(steps: step.call(cues)).do(odalys, 'class.cue', { cue: 'c' }) }
    expect { fired.call([cue.call]) }.to raise_error(Core::Refusal) { |refusal| expect(refusal.code).to eq(:cue_incomplete) }
    expect { fired.call([cue.call(material: 'm')]) }.not_to raise_error
  end

  it 'leaves what was put on meanwhile alone, and lies behind what comes after it' do
    hall.do(odalys, 'class.put_on_clip', { material: 'n', version: 1, kind: 'sound', title: 'Horn', length: 4_000 })
    set(off: true)
    expect(clip.call).to include(material: 'n', front: true)
    hall.do(odalys, 'class.join')
    hall.do(odalys, 'class.share_screen', { on: true })
    expect([clip.call[:front], hall.world.state('place/s1.main').screen[:front]]).to eq([false, true])
    hall.do(odalys, 'class.set_clip', { material: 'n', playing: true })
    expect([clip.call[:front], hall.world.state('place/s1.main').screen[:front]]).to eq([true, false])
    hall.do(odalys, 'class.show', { board: 'b1', page: 'p1' })
    expect(clip.call[:front]).to be(false)
    hall.do(odalys, 'class.set_clip', { material: 'n', off: true })
    expect(clip.call).to be_nil
  end

  describe 'with breakout rooms' do
    let(:in_room) { ->(id) { hall.world.state("place/s1.#{id}").clip } }

    before do
      rooms = %w[r1 r2].map { |id| { id: id, name: id, people: [] } }
      hall.do(odalys, 'rooms.deal', { id: 'fog', name: 'Fog', step: nil, seed: 1, again: 0, bound: 0, says: [], rooms: rooms,
                                      plan: { by: 'rooms', number: 2, way: 'hand' } })
      opened = rooms.map { |room| { id: room[:id], boards: [{ id: "#{room[:id]}--b", name: 'Fog' }] } }
      hall.do(odalys, 'rooms.open', { activity: 'fog', people: [], rooms: opened })
    end

    it 'plays in every room at the same moment, and is steered from outside where it still plays' do
      hall.do(odalys, 'class.put_on_clip', { material: 'm', version: 1, kind: 'clip', title: 'Fog', length: 20_000, rooms: %w[r1 r2 gone] })
      expect(%w[r1 r2].map(&in_room)).to all(include(material: 'm', since: clip.call[:since]))
      hall.do(odalys, 'class.put_on_clip', { material: 'n', version: 1, kind: 'sound', title: 'Horn', length: 4_000 }, on: 'place/s1.r2')
      set(playing: false, rooms: %w[r1 r2 gone])
      expect(in_room.call('r1')).to include(playing: false, at: clip.call[:at])
      expect(in_room.call('r2')).to include(material: 'n', playing: true)
      set(off: true, rooms: %w[r1 r2])
      expect(%w[r1 r2].map(&in_room).map { |one| one&.fetch(:material) }).to eq([nil, 'n'])
    end
  end
end
