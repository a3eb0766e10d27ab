# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Rooms::Prepared do
  let(:students) { %w[Amadou Bettina Cosmin Delphine Emre Farah].map { |name| { id: name.downcase, name: name } } }
  let(:step) { { id: 'fog', title: 'Fog drill', minutes: 20 } }
  let(:plan) { { by: 'rooms', number: 2, minutes: 15, words: 'Roll for visibility.' } }

  def doubts(count = 6, **more) = described_class.doubts(step, { kind: 'rooms', plan: plan.merge(more) }, students.first(count)).to_h

  it 'has none where the plan suits the roster and the step' do
    expect(doubts).to be_empty
    expect(doubts(0)).to be_empty
    expect(doubts(by: 'size', number: 4)).to be_empty
  end

  it 'finds plans that do not fit the roster' do
    expect(doubts(number: 5)[:rooms_unfit]).to eq('“Fog drill” wants 5 rooms, and there are 6 students: it comes to 3.')
    expect(doubts(by: 'size', number: 8)[:rooms_unfit]).to eq('“Fog drill” wants rooms of 8, and there are 6 students: it comes to 1.')
  end

  it 'finds rooms that do not say what to do, and that take longer than their step' do
    expect(doubts(words: ' ').keys).to eq([:rooms_wordless])
    expect(doubts(minutes: 25)[:rooms_too_long]).to eq('“Fog drill” takes 25 min in rooms, and its step has 20.')
    expect(doubts(minutes: nil)).to be_empty
  end

  it 'finds wishes that contradict one another, by name' do
    wishes = [{ kind: 'together', people: %w[amadou bettina] }, { kind: 'apart', people: %w[farah emre] }, { kind: 'apart', people: %w[bettina amadou] }]
    expect(doubts(wishes: wishes)[:rooms_unmet])
      .to eq('“Fog drill”: these cannot all be met: Amadou and Bettina together; Bettina and Amadou apart. The last was left out.')
    expect(doubts(wishes: wishes.first(2))).to be_empty
  end
end

RSpec.describe Veranda::Core::Rooms::Unmet do
  it 'says who meets again, whether fewer were possible, and which wishes were given up' do
    names = %w[a b c d e].to_h { |id| [id, id.upcase] }
    dealt = Veranda::Core::Groups::Dealt.new(again: [['a', 'b', 1], ['c', 'd', 3]], bound: 2, contradictions: [], given_up: [])
    expect(described_class.sentences(dealt, names)).to eq(['Together again: C and D (3 times before), A and B (once before). With these rooms no fewer are possible.'])
    dealt.bound = 1
    dealt.given_up = [Veranda::Core::Groups::Wish.from(kind: 'each', people: %w[a b c])]
    expect(described_class.sentences(dealt, names)).to eq(['one of A, B and C in each room: not met.', 'Together again: C and D (3 times before), A and B (once before).'])
    one = Veranda::Core::Groups::Wish.from(kind: 'together', people: %w[a b c d e])
    told = Veranda::Core::Groups::Dealt.new(again: [], bound: 0, contradictions: [[one]], given_up: [one])
    expect(described_class.sentences(told, names)).to eq(['A, B, C, D and E together: that cannot be with rooms of this size.'])
  end
end
