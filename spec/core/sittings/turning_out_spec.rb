# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Coming in by leave, and being sent out' do
  let(:hall) { sitting }
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }
  let(:oona) { person(:oona) }

  def turn(verb, who, place: 'main', by: odalys) = hall.do(by, "class.#{verb}", { person: who.to_s, place: place })
  def reads(who) = Core::Access::InClass.new(person(who), hall.state, hall.staff).streams
  def let_in(*people) = hall.do(odalys, 'class.let_in', { people: people.map(&:to_s) })

  describe 'sent back to wait' do
    it 'puts everything down, reads the waiting room alone, and waits until let in' do
      hall.do(farah, 'class.raise_hand')
      hall.do(farah, 'class.signal', { signal: 'done' })
      hall.do(odalys, 'class.lend_floor', { person: 'farah' })
      hall.do(farah, 'class.raise_hand')
      turn('send_to_wait', :farah)
      expect([hall.place.hands, hall.place.signals, hall.place.floor]).to eq([[], {}, nil])
      expect(reads(:farah)).to match_array(%w[place/s1.waiting own/s1.farah])
      expect(hall.own('farah').place).to eq('waiting')
      expect(hall.staff.waiting['farah']).to include(name: 'Farah Lindqvist', held: true)
      expect(hall.staff.coming).to be_empty
      expect(hall.state.present.map(&:id)).to eq(%w[odalys jonas])
      let_in(:farah)
      expect(reads(:farah)).to include('place/s1.main', 'board/b1')
      expect(hall.state.seats['farah']).to have_attributes(presence: 'here', place: 'main')
    end

    it 'holds when they leave and come again' do
      turn('send_to_wait', :farah)
      hall.do(farah, 'class.drop')
      expect(hall.staff.waiting).to be_empty
      2.times { hall.do(farah, 'class.join') }
      expect(hall.staff.waiting['farah']).to include(held: true)
      expect(reads(:farah)).not_to include('place/s1.main')
      hall.do(farah, 'class.leave', { place: 'main' })
      expect(hall.state.seats['farah']).to be_out
    end

    it 'forbids what is for those who are in' do
      turn('send_to_wait', :farah)
      [['class.raise_hand', {}], ['class.signal', { signal: 'done' }]].each { |name, input| expect { hall.do(farah, name, input) }.to refusing(:not_here) }
      expect { hall.do(odalys, 'class.lend_floor', { person: 'farah' }) }.to refusing(:not_here)
      expect { hall.do(odalys, 'class.rule', { right: 'draw', allow: false, person: 'farah' }) }.to refusing(:not_here)
      hall.do(odalys, 'class.let_in', { people: ['jonas'], place: 'main' })
      expect { turn('send_to_wait', :farah) }.to refusing(:not_here)
    end
  end

  describe 'removed' do
    it 'reads nothing and cannot come, by whichever door, until let back; and then waits like others' do
      turn('remove', :farah)
      expect(reads(:farah)).to be_empty
      expect(Core::Access::InClass.new(farah, hall.state, hall.staff).standing).to be_nil
      expect { hall.do(farah, 'class.join') }.to refusing(:removed)
      expect(hall.staff.removed.keys).to eq(['farah'])
      expect(hall.own('farah').place).to eq('waiting')
      expect(turn('remove', :farah)).to be_nil
      hall.do(odalys, 'class.let_back', { person: 'farah' })
      expect(hall.do(odalys, 'class.let_back', { person: 'farah' })).to be_nil
      hall.do(farah, 'class.join')
      expect(hall.staff.waiting['farah']).to include(held: true)
      expect(reads(:farah)).to match_array(%w[place/s1.waiting own/s1.farah])
    end

    it 'takes who waits from the doors' do
      hall.do(odalys, 'class.set_doors', { each: true })
      hall.do(oona, 'class.join')
      turn('remove', :oona)
      expect([hall.staff.waiting, hall.staff.removed.keys]).to eq([{}, ['oona']])
      expect(reads(:oona)).to be_empty
    end

    it 'is not for staff, nor for who was never there, nor for who has just gone to another room' do
      expect { turn('remove', :odalys, by: person(:tomas)) }.to refusing(:staff_stay)
      expect { turn('remove', :oona) }.to refusing(:not_here)
      expect { turn('remove', :farah, place: 'annex') }.to refusing(:moved_on)
      expect { turn('send_to_wait', :farah, place: 'annex') }.to refusing(:moved_on)
      expect { turn('remove', :jonas, by: farah) }.to refusing(:staff_only)
      hall.do(odalys, 'class.end')
      expect { turn('remove', :farah) }.to refusing(:class_ended)
      expect { turn('send_to_wait', :farah) }.to refusing(:class_ended)
    end
  end

  it 'tells those who wait whether the class has begun' do
    hall = sitting(open: false)
    expect(hall.place('waiting').begun).to be(false)
    hall.do(odalys, 'class.open')
    expect(hall.place('waiting').begun).to be(true)
    expect(Core::Sittings::Place.from(hall.place('waiting').to_h.except(:begun)).begun).to be(false)
  end

  describe 'let in one by one' do
    it 'waits though the doors are open, and comes in when let' do
      hall.do(odalys, 'class.set_doors', { each: true })
      expect(hall.do(odalys, 'class.set_doors', { each: true })).to be_nil
      hall.do(oona, 'class.join')
      expect(hall.staff.waiting.keys).to eq(['oona'])
      expect(hall.staff.coming).to be_empty
      expect(reads(:oona)).to match_array(%w[place/s1.waiting own/s1.oona])
      let_in(:oona)
      expect(reads(:oona)).to include('place/s1.main')
    end

    it 'does not keep out who was in and lost the connection' do
      hall.do(odalys, 'class.set_doors', { each: true })
      hall.do(farah, 'class.drop')
      hall.do(farah, 'class.join')
      expect(hall.state.seats['farah']).to be_here
    end

    it 'is over for all who wait once everyone may come, but for those who were sent back' do
      hall.do(odalys, 'class.set_doors', { each: true })
      hall.do(oona, 'class.join')
      turn('send_to_wait', :farah)
      hall.do(odalys, 'class.set_doors', { each: false })
      expect(hall.staff.coming).to eq(['oona'])
    end

    it 'is for staff to say' do
      expect { hall.do(farah, 'class.set_doors', { each: true }) }.to refusing(:staff_only)
      expect { hall.do(farah, 'class.let_in', { people: ['farah'] }) }.to refusing(:staff_only)
    end
  end

  it 'is the same when read back' do
    hall.do(odalys, 'class.set_doors', { each: true })
    turn('send_to_wait', :farah)
    turn('remove', :jonas)
    %w[sitting/s1 staff/s1 place/s1.main].each do |name|
      expect(hall.world.restored(name).to_h).to eq(hall.world.refolded(name).to_h)
      expect(hall.world.restored(name).to_h).to eq(JSON.parse(JSON.generate(hall.world.state(name).to_h), symbolize_names: true))
    end
    back = hall.world.restored('staff/s1')
    expect([back.each?, back.removed.keys, back.waiting.keys]).to eq([true, ['jonas'], ['farah']])
  end

  it 'begins from snapshots that were written before there was any of it' do
    old = JSON.parse(JSON.generate(hall.staff.to_h.except(:removed, :each)), symbolize_names: true)
    expect(Core::Sittings::StaffFacts.from(old)).to have_attributes(removed: {}, each?: false)
    old = JSON.parse(JSON.generate(hall.place.to_h.except(:floor, :signals)), symbolize_names: true)
    old[:rules] = old[:rules].except(:by_step).merge(for_all: { draw: false, post: true, props: true, arrange: false })
    place = Core::Sittings::Place.from(old)
    expect([place.floor, place.signals, place.rules.for_all(:draw), place.rules.for_all(:speak)]).to eq([nil, {}, false, true])
  end

  it 'ends a stay in what was recorded' do
    hall.do(odalys, 'class.record', { on: true }, at: 2_000_000)
    hall.do(odalys, 'class.send_to_wait', { person: 'farah', place: 'main' }, at: 2_500_000)
    hall.do(odalys, 'class.record', { on: false }, at: 3_000_000)
    expect(Core::Recordings::Recording.new(hall.state).people(hall.entries)).to include('farah', 'jonas')
    later = sitting
    later.do(odalys, 'class.send_to_wait', { person: 'farah', place: 'main' }, at: 1_500_000)
    later.do(odalys, 'class.record', { on: true }, at: 2_000_000)
    later.do(odalys, 'class.record', { on: false }, at: 3_000_000)
    expect(Core::Recordings::Recording.new(later.state).people(later.entries)).not_to include('farah')
  end
end
