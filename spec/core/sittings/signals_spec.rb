# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Signals' do
  let(:hall) { sitting }
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }
  let(:jonas) { person(:jonas) }

  def given = hall.place.signals.transform_values { |row| row[:signal] }
  def give(who, signal = nil) = hall.do(who, 'class.signal', { signal: signal }.compact)

  it 'are one for each person, the last that was given' do
    give(farah, 'slower')
    give(jonas, 'done')
    give(farah, 'done')
    expect(given.to_a).to eq([%w[jonas done], %w[farah done]])
    expect(hall.place.signals['farah']).to eq(person: 'farah', signal: 'done', at: hall.clock)
    expect(give(farah, 'done')).to be_nil
    give(farah)
    expect(given).to eq('jonas' => 'done')
    expect(give(farah)).to be_nil
  end

  it 'are those there are' do
    expect { give(farah, 'bored') }.to refusing(:bad_input)
    Core::Sittings::Signals::KINDS.each { |signal| expect(give(farah, signal)).not_to be_nil }
  end

  it 'may clap again and again' do
    2.times { expect(give(farah, 'clap')).not_to be_nil }
  end

  it 'of staff are that they are back soon, and that they clap' do
    allowed = Core::Sittings::Signals::KINDS.select do |signal|
      give(odalys, signal)
    rescue Core::Refusal
      false
    end
    expect(allowed).to eq(%w[back_soon clap])
    give(odalys)
    expect(given).to be_empty
  end

  it 'are given by people who are in the room' do
    hall.do(jonas, 'class.leave', { place: 'main' })
    [jonas, person(:oona)].each { |who| expect { give(who, 'done') }.to refusing(:not_here) }
    hall.do(odalys, 'class.end')
    expect { give(farah, 'done') }.to refusing(:class_ended)
  end

  it 'go with who leaves, at the next step, and when staff clear them' do
    [farah, jonas].each { |who| give(who, 'yes') }
    hall.do(farah, 'class.leave', { place: 'main' })
    expect(given).to eq('jonas' => 'yes')
    hall.do(odalys, 'class.move', { step: 'crossing' })
    expect(given).to be_empty
    expect(hall.do(odalys, 'class.clear_signals')).to be_nil
    give(jonas, 'no')
    expect { hall.do(jonas, 'class.clear_signals') }.to refusing(:staff_only)
    hall.do(odalys, 'class.clear_signals')
    expect(given).to be_empty
  end

  it 'are the same when read back' do
    [farah, jonas].each { |who| give(who, 'yes') }
    place = 'place/s1.main'
    expect(hall.world.restored(place).to_h).to eq(hall.world.refolded(place).to_h)
    expect(hall.world.restored(place).signals.keys).to eq(%w[farah jonas])
  end

  describe 'done by everyone' do
    def hall_with(**cue)
      steps = Stage::PLAN[:steps].map { |step| step[:id] == 'sum-up' ? step.merge(cues: [{ id: 'fog', kind: 'timer', seconds: 600, **cue }]) : step }
      sitting(steps: steps).tap { |made| made.do(odalys, 'class.cue', { cue: 'fog' }) }
    end

    it 'puts a timer away that was set to end then' do
      track = hall_with(until_done: true)
      track.do(farah, 'class.signal', { signal: 'done' })
      track.do(jonas, 'class.signal', { signal: 'yes' })
      track.do(odalys, 'class.signal', { signal: 'clap' })
      expect(track.place.timer).to include(until_done: true)
      track.do(jonas, 'class.signal', { signal: 'done' })
      expect(track.place.timer).to be_nil
    end

    it 'does not wait for who has left, nor for staff' do
      track = hall_with(until_done: true)
      track.do(jonas, 'class.leave', { place: 'main' })
      track.do(farah, 'class.signal', { signal: 'done' })
      expect(track.place.timer).to be_nil
    end

    it 'leaves other timers alone' do
      track = hall_with
      [farah, jonas].each { |who| track.do(who, 'class.signal', { signal: 'done' }) }
      expect(track.place.timer).not_to be_nil
    end
  end
end
