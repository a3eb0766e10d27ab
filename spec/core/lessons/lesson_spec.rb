# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'A lesson' do
  let(:minute) { 60_000 }

  describe Veranda::Core::Lessons::RunSheet do
    it 'adds up minutes and gives each step its clock time' do
      sheet = described_class.new(Stage::PLAN[:steps], starts_at: 0, minutes: 50)
      expect(sheet.total).to eq(60)
      expect(sheet.over).to eq(10)
      expect(sheet.rows.map { |row| row[:starts_at] / 60_000 }).to eq([0, 10, 40])
    end
  end

  describe Veranda::Core::Lessons::Timing do
    let(:track) { sitting(starts_at: 0, minutes: 60) }

    def at(minutes) = described_class.new(track.state, (minutes * minute).round)
    def move(step, minutes) = track.do(person(:odalys), 'class.move', { step: step }, at: (minutes * minute).round)

    it 'is on time before anything has begun' do
      expect(at(-5).drift).to eq(0)
      expect(at(3).drift).to eq(3 * minute)
    end

    it 'ends when planned as long as steps keep their minutes' do
      move('names', 0)
      move('crossing', 10)
      expect(at(25).drift).to eq(0)
    end

    it 'grows late only once the minutes of a step are up' do
      move('names', 0)
      expect(at(10).drift).to eq(0)
      expect(at(14).drift).to eq(4 * minute)
      expect(at(14).to_h[:stretches].map { |stretch| stretch[:state] }).to eq(%w[now next next])
    end

    it 'is early when a step took less' do
      move('names', 0)
      move('crossing', 4)
      expect(at(4).drift).to eq(-6 * minute)
    end

    it 'counts minutes added in class, and time over several visits' do
      move('names', 0)
      track.do(person(:odalys), 'class.extend', { minutes: 5 }, at: 1)
      expect(at(1).drift).to eq(5 * minute)
      move('crossing', 8)
      move('names', 10)
      expect(at(12).spent(track.state.steps[0])).to eq(10 * minute)
    end

    it 'stands still once the class has ended' do
      move('names', 0)
      track.do(person(:odalys), 'class.end', at: 50 * minute)
      expect(at(500).drift).to eq(-10 * minute)
    end
  end

  describe Veranda::Core::Lessons::Readiness do
    let(:lesson) { { steps: Stage::PLAN[:steps].first(2), minutes: 60, record_from: 'names', starts_at: 10 * minute } }

    def codes(**changes) = described_class.of(lesson.merge(changes), now: 0).map { |finding| finding[:code] }

    it 'finds nothing when all is well' do
      expect(codes).to be_empty
    end

    it 'finds what is missing or doubtful, with the step concerned' do
      expect(codes(minutes: 30)).to eq([:too_long])
      expect(codes(record_from: nil)).to eq([:recording_off])
      expect(codes(steps: [])).to eq([:no_steps])
      expect(codes(starts_at: -100 * minute)).to eq([:past])
      expect(described_class.of(lesson.merge(steps: Stage::PLAN[:steps]), now: 0))
        .to match([a_hash_including(code: :no_board, says: '“Sum up” shows no board.', step: 'sum-up')])
    end
  end

  describe Veranda::Core::Name do
    it 'tidies white space and refuses names that are none or too long' do
      expect(described_class.clean("  Farah \n\u200b Lindqvist ")).to eq('Farah Lindqvist')
      ['', "   \u00a0\u200b ", nil].each { |name| expect { described_class.clean(name) }.to refusing(:name_missing) }
      expect { described_class.clean('x' * 300) }.to refusing(:name_too_long)
    end
  end
end
