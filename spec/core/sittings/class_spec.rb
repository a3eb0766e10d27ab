# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'A class' do
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }
  let(:jonas) { person(:jonas) }
  let(:track) { sitting }
  let(:state) { track.state }

  describe 'doors' do
    it 'keeps students waiting until staff open' do
      track = sitting(open: false)
      track.do(farah, 'class.join')
      expect { track.do(farah, 'class.open') }.to refusing(:staff_only)
      expect { track.do(farah, 'class.raise_hand') }.to refusing(:doors_closed)
      track.do(person(:tomas), 'class.open')
      expect(track.state).to be_open
    end

    it 'takes changes to the plan until they open, and not after' do
      track = sitting(open: false)
      track.do(odalys, 'class.plan', Stage::PLAN.merge(title: 'Fog'))
      expect(track.state.title).to eq('Fog')
      track.do(odalys, 'class.open')
      expect { track.do(odalys, 'class.plan', Stage::PLAN) }.to refusing(:doors_open)
    end

    it 'lets nobody in once the class has ended' do
      track.do(odalys, 'class.end')
      expect { track.do(person(:oona), 'class.join') }.to refusing(:class_ended)
      expect { track.do(odalys, 'class.open') }.to refusing(:class_ended)
      expect(track.do(odalys, 'class.end')).to be_nil
    end
  end

  describe 'coming and going' do
    it 'counts a person once, however many tabs they open' do
      expect(track.do(farah, 'class.join')).to be_nil
      # Made an assistant meanwhile, she is seen as one.
      expect(track.do(Core::Person.new(**farah.to_h, role: 'assistant'), 'class.join')&.kind).to eq('joined')
      expect(track.state.seats['farah'].to_h).to include(role: 'assistant', place: 'main', presence: 'here')
      expect(state.seats.keys).to eq(%w[odalys farah jonas])
    end

    it 'keeps seat and hand of someone who drops, and lets them go when they leave' do
      track.do(farah, 'class.raise_hand')
      track.do(farah, 'class.drop')
      expect(state.seats['farah'].presence).to eq('dropped')
      expect(track.place.hands).to eq(['farah'])

      track.do(farah, 'class.join')
      expect(state.seats['farah']).to be_here
      track.do(farah, 'class.leave', { place: 'main' })
      expect(state.present.map(&:id)).to eq(%w[odalys jonas])
      expect(track.place.hands).to be_empty
    end
  end

  describe 'steps' do
    it 'puts the board of a step on show' do
      track.do(odalys, 'class.move', { step: 'crossing' })
      expect(track.place.shown).to eq(board: 'b2', page: 'p1')
      track.do(odalys, 'class.move', { step: 'sum-up' })
      expect(track.place.shown).to eq(board: 'b2', page: 'p1')
    end

    it 'is moved by staff only, to steps that exist' do
      expect { track.do(farah, 'class.move', { step: 'names' }) }.to refusing(:staff_only)
      expect { track.do(odalys, 'class.move', { step: 'nowhere' }) }.to refusing(:no_such_step)
      track.do(odalys, 'class.move', { step: 'names' })
      expect(track.do(odalys, 'class.move', { step: 'names' })).to be_nil
    end

    it 'does not show students a board for staff' do
      expect { track.do(odalys, 'class.show', { board: 'b3', page: 'p1' }) }.to refusing(:board_for_staff)
      expect { track.do(odalys, 'class.show', { board: 'zz', page: 'p1' }) }.to refusing(:no_such_board)
      expect { track.do(farah, 'class.show', { board: 'b1', page: 'p1' }) }.to refusing(:staff_only)
    end
  end

  describe 'recording' do
    it 'begins once by plan, however many steps follow' do
      %w[crossing sum-up].each { |step| track.do(odalys, 'class.move', { step: step }) }
      expect(track.entries.map(&:kind).count('recording')).to eq(1)
    end

    it 'begins by itself at the planned step and ends with the class' do
      track.do(odalys, 'class.move', { step: 'names' }, at: 1_000_000)
      expect(state).not_to be_recording
      track.do(odalys, 'class.move', { step: 'crossing' }, at: 1_600_000)
      expect(state).to be_recording
      track.do(odalys, 'class.end', at: 2_000_000)
      expect(state.stretches).to eq([{ from: 1_600_000, to: 2_000_000 }])
    end

    it 'stays off when somebody switched it off by hand' do
      track.do(odalys, 'class.record', { on: true })
      track.do(odalys, 'class.record', { on: false })
      track.do(odalys, 'class.move', { step: 'crossing' })
      expect(state).not_to be_recording
    end
  end

  describe 'hands' do
    it 'queue in order of asking' do
      track.do(jonas, 'class.raise_hand')
      track.do(farah, 'class.raise_hand')
      track.do(jonas, 'class.raise_hand')
      expect(track.place.hands).to eq(%w[jonas farah])
      expect { track.do(farah, 'class.lower_hand', { person: 'jonas' }) }.to refusing(:staff_only)
      track.do(odalys, 'class.lower_hand', { person: 'jonas' })
      track.do(farah, 'class.lower_hand')
      expect(track.place.hands).to be_empty
    end
  end

  it 'comes back the same from a snapshot and from its entries' do
    track.do(odalys, 'class.move', { step: 'crossing' })
    track.do(odalys, 'class.extend', { minutes: 5 })
    track.do(odalys, 'class.rule', { right: 'draw', allow: false })
    track.do(odalys, 'class.rule', { right: 'draw', allow: true, person: 'farah' })
    track.do(farah, 'class.raise_hand')
    expect(track.restored.to_h).to eq(state.to_h)
    expect(track.refolded.to_h).to eq(state.to_h)
  end
end
