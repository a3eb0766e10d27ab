# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Core::Recordings::Happened do
  def told(t, kind, by: 'farah', **body) = { t: t, kind: kind, by: by, body: body }
  def happened(*told, cues: [], length: 100_000) = described_class.new([{ kind: 'seam', t: 0 }, *told], cues: cues, length: length)

  it 'counts what was done, said and shown in even parts' do
    spoke = happened(told(12_000, 'spoke', ms: 7_000), told(31_000, 'posted', text: 'a'), told(31_500, 'edited', ops: []))
    expect([spoke.every, spoke.parts.length]).to eq([5_000, 20])
    expect(spoke.parts.each_with_index.select { |part, _| part.positive? }).to eq([[1.0, 1], [1.0, 2], [3.0, 6]])
    expect(happened(length: 3 * 3_600_000).parts.length).to be <= described_class::PARTS
  end

  it 'is quiet where nobody does or says anything, no stroke grows and nothing plays' do
    mark = { op: 'put', mark: { took: 9_000 } }
    cue = Core::Recordings::Cue.new(from: 60_000, to: 64_000, words: 'so')
    expect(happened(told(1_000, 'edited', ops: [mark]), cues: [cue]).quiet).to eq([[10_000, 60_000], [64_000, 100_000]])
    expect(happened(told(20_000, 'clip_on'), told(70_000, 'clip_off')).quiet).to eq([[0, 20_000], [70_000, 100_000]])
    expect(happened(told(10_000, 'left'), length: 14_000).quiet).to eq([])
  end

  it 'knows what each did, strokes that follow one another as one' do
    own = happened(told(1_000, 'edited', ops: []), told(9_000, 'edited', ops: []), told(40_000, 'edited', ops: []), told(50_000, 'posted', by: 'jonas', text: 'why?')).own
    expect(own['farah'].map { |row| row.values_at(:t, :kind) }).to eq([[1_000, 'mark'], [40_000, 'mark']])
    expect(own['jonas']).to eq([{ t: 50_000, kind: 'post', words: 'why?' }])
  end
end
