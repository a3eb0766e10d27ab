# frozen_string_literal: true

require_relative '../core_helper'

RSpec.describe Veranda::Core::CompiledContract do
  samples = {
    'board.put' => { marks: [{ id: 'a', page: 'p1', kind: 'stroke', x: 1, y: 2.5, ink: 'lake', width: 4, points: [0, 0, 3, 4], press: [0.5, 1], group: nil },
                             { id: 'b', page: 'p1', kind: 'prop', x: 1, y: 2, w: 9, h: 9, ink: 'lake', prop: 'dice', settings: { count: 2, faces: 6 } }] },
    'board.change' => { changes: [{ id: 'a', set: { x: 3, text: 'Fog', fill: true } }] },
    'board.remove' => { ids: %w[a b] }, 'board.point' => { page: 'p1', path: [0, 1, 2] },
    'exchange.post' => { id: 'p', text: 'hello' }, 'class.rule' => { right: 'draw', allow: false, person: 'farah' },
    'class.extend' => { minutes: -3 }, 'board.undo' => {}, 'board.use_prop' => { id: 'a', action: 'roll' },
    'poll.answer' => { round: 1, value: ['a', { b: 1 }] },
    'poll.stage' => { poll: 'p', question: { kind: 'scale', text: 'How sure are you?', points: 7, ends: %w[not very], names: false,
                                             right: { number: 1.5, area: { x: 0, y: 1, w: 2, h: 3 } } } },
    'class.plan' => { id: 's', title: 'T', course: 'C', starts_at: 1, minutes: 5, record_from: nil, rehearsal: true,
                      steps: [{ id: 'a', title: 'A', minutes: 1, shortest: 0, board: nil, rules: { draw: true }, cues: [{ id: 'c', kind: 'timer', seconds: 9 }] }],
                      boards: [{ id: 'b', name: 'B', audience: 'staff' }] }
  }.transform_values { |input| JSON.parse(JSON.generate(input)) }
  wrong = [nil, 7, -1, 1.5, 10**400, '', 'x', "\xff", 'a b', 'x' * 5_000, true, [], {}, [1, 'x'], { 'x' => 1 }, Float::NAN, [nil]]

  # Everywhere in the input, one thing is put in another's place, taken out or added.
  def spoilt(value, rng, wrong)
    return wrong.sample(random: rng) if !value.is_a?(Enumerable) || value.empty? || rng.rand(6).zero?

    copy = value.dup
    key = value.is_a?(Hash) ? value.keys.sample(random: rng) : rng.rand(value.length)
    case rng.rand(8)
    when 0 then value.is_a?(Hash) ? copy.delete(key) : copy.delete_at(key)
    when 1 then value.is_a?(Hash) ? copy['zzz'] = 1 : copy << wrong.sample(random: rng)
    else copy[key] = spoilt(value[key], rng, wrong)
    end
    copy
  end

  # @return [Hash, nil] what dry-schema alone makes of it
  def slowly(contract, input)
    return unless input.is_a?(Hash) && Core::UnknownKeys.find(contract.key_map, input).nil?

    result = contract.call(input)
    result.to_h if result.success?
  end

  samples.each do |wire_name, input|
    contract = Veranda::Core::Commands.fetch(wire_name).contract

    it "takes what #{wire_name} takes, and nothing else" do
      compiled = described_class.new(contract)
      expect(compiled.call(input)).to eq(slowly(contract, input)).and(be_a(Hash))
      rng = Random.new(wire_name.sum)
      agreed = Array.new(400) do
        bad = spoilt(input, rng, wrong)
        fast = compiled.call(bad)
        slow = begin
          slowly(contract, bad)
        rescue ArgumentError, NoMethodError
          nil # dry-schema cannot hold a pattern against letters that are none
        end
        [fast, slow, bad] unless fast == slow
      end
      expect(agreed.compact.first).to be_nil
    end
  end

  it 'reads the contracts of all commands' do
    compiled = samples.keys.map { |name| described_class.new(Veranda::Core::Commands.fetch(name).contract).call(samples[name]) }
    expect(compiled).to all(be_a(Hash))
  end
end

RSpec.describe Core::Commands do
  it 'knows commands by name, and refuses any other' do
    expect(described_class.fetch('board.put')).to be(Core::Boards::PutMarks)
    expect { described_class.fetch('board.nothing') }.to refusing(:unknown_command)
    expect { Class.new(Core::Command).new({}, nil).decide }.to raise_error(NotImplementedError)
  end
end
