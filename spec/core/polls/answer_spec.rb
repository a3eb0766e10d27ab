# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Core::Polls::Answer do
  def ask(kind, **more) = { kind: kind, text: 'Who gives way?', **more }
  def options(count = 3) = Array.new(count) { |i| { id: "o#{i}", text: "Option #{i}" } }
  def read(question, given) = described_class.of(question, given)
  def right?(question, given) = described_class.grade(question, read(question, given))

  it 'is an option, some of them, or all in order' do
    one = ask('one', options: options, right: { options: ['o1'] })
    expect([read(one, 'o1'), right?(one, 'o1'), right?(one, 'o0')]).to eq([['o1'], true, false])
    ['o9', nil, 9, ['o1'], { 'id' => 'o1' }].each { |given| expect { read(one, given) }.to refusing(:no_such_option) }
    some = ask('several', options: options, fewest: 1, most: 2, right: { options: %w[o2 o0] })
    expect([read(some, %w[o0 o2]), right?(some, %w[o0 o2]), right?(some, ['o0'])]).to eq([%w[o0 o2], true, false])
    { [] => :too_few_chosen, %w[o0 o1 o2] => :too_many_chosen, %w[o0 o0] => :chosen_twice, 'o0' => :bad_answer, %w[x] => :no_such_option }
      .each { |given, code| expect { read(some, given) }.to refusing(code) }
    order = ask('order', options: options, right: { options: %w[o2 o1 o0] })
    expect([right?(order, %w[o2 o1 o0]), right?(order, %w[o0 o1 o2])]).to eq([true, false])
    { %w[o0 o1 o1] => :chosen_twice, %w[o0 o1] => :order_incomplete, %w[o0 o1 o2 o3] => :no_such_option }.each { |given, code| expect { read(order, given) }.to refusing(code) }
    expect(right?(ask('yes_no', right: { options: ['yes'] }), 'yes')).to be(true)
    expect { read(ask('yes_no'), 'maybe') }.to refusing(:no_such_option)
    expect(right?(ask('yes_no'), 'yes')).to be_nil
  end

  it 'is written in words, as they were written' do
    short = ask('short', right: { words: ['Fog horns', 'whistle'] })
    expect(read(short, "  one\nlong\tblast ")).to eq('one long blast')
    expect([right?(short, 'FOG HORN'), right?(short, 'bell')]).to eq([true, false])
    expect(read(short, '<b>ק׳</b>')).to eq('<b>ק׳</b>')
    { '' => :answer_empty, " \u00A0\n" => :answer_empty, 'x' * 10_000 => :answer_too_long, 4 => :bad_answer, nil => :bad_answer }
      .each { |given, code| expect { read(short, given) }.to refusing(code) }
    cloud = ask('cloud')
    expect(read(cloud, %w[fog Fogs rain])).to eq(%w[fog rain])
    { [] => :answer_empty, ['a'] * 6 => :too_many_words, 'fog' => :bad_answer, ['x' * 61] => :answer_too_long }.each do |given, code|
      expect do
        read(cloud, given)
      end.to refusing(code)
    end
  end

  it 'is a number as people write one, in the unit that was asked for' do
    number = ask('number', unit: 'nm', low: -10, high: 5_000, right: { number: 2.7, tolerance: 0.1 })
    { '2.7' => 2.7, '2,7' => 2.7, ' 2.7 NM' => 2.7, '1 250' => 1250.0, '−4' => -4.0, '.5' => 0.5, 3 => 3.0, '1e3' => 1000.0, '+2' => 2.0, "1\u202F250,5 nm" => 1250.5 }
      .each { |given, kept| expect(read(number, given)).to eq(kept), given.to_s }
    expect([right?(number, '2,8'), right?(number, '2.9'), right?(number, 2.6)]).to eq([true, false, true])
    { '2.7 km' => :wrong_unit, 'two' => :no_number, '' => :no_number, '1e400' => :no_number, '1,250,000' => :no_number, '2..7' => :no_number, '-' => :no_number, '.' => :no_number,
      Float::INFINITY => :no_number, Float::NAN => :no_number, nil => :no_number, ['2'] => :no_number, true => :no_number, '5001' => :out_of_range, -11 => :out_of_range,
      '9' * 5_000 => :no_number }.each { |given, code| expect { read(number, given) }.to refusing(code), given.to_s[0, 20] }
    expect { read(ask('number'), '3 boats') }.to refusing(:wrong_unit)
    expect(right?(ask('number', right: { number: 0.3 }), 0.1 + 0.2)).to be(true)
  end

  it 'is a point of a scale, or a spot' do
    scale = ask('scale', points: 7)
    expect(read(scale, 7)).to eq(7)
    [0, 8, '3', 2.5, nil].each { |given| expect { read(scale, given) }.to refusing(:no_such_point) }
    spot = ask('spot', right: { area: { x: 100, y: 100, w: 50, h: 20 } })
    expect([right?(spot, [110, 120]), right?(spot, [110, 121]), read(spot, [1.26, 4])]).to eq([true, false, [1.3, 4.0]])
    [[1], [1, -1], %w[1 2], [1, Float::NAN], { x: 1, y: 2 }, nil].each { |given| expect { read(spot, given) }.to refusing(:no_spot) }
  end

  it 'is one that is kept as it came, whatever came: read again it is the same, and nothing else gets through' do
    rng = Random.new(8)
    questions = [ask('one', options: options), ask('several', options: options), ask('order', options: options), ask('short'), ask('cloud'), ask('scale'), ask('number'),
                 ask('spot'), ask('yes_no')]
    odd = [nil, true, 3, -1.5, '', 'o1', 'yes', "\u202Eo1", [], %w[o0], %w[o1 o0 o2], [1, 2], { 'a' => 1 }, 'x' * 600, [['o1']], [nil]]
    500.times do
      question, given = questions.sample(random: rng), odd.sample(random: rng)
      kept = read(question, given)
      again = %w[one yes_no].include?(question[:kind]) ? kept.first : kept
      expect(read(question, JSON.parse(JSON.generate([again])).first)).to eq(kept)
    rescue Core::Refusal => e
      expect(e.says).to match(/\A[A-Z].*[.]\z/)
    end
  end
end

RSpec.describe Core::Polls::Doubts do
  def codes(**question)
    described_class.of({ kind: 'one', text: 'Who gives way?', options: [{ id: 'a', text: 'Red' }, { id: 'b', text: 'Green' }], **question }).map { |doubt| doubt[:code] }
  end

  it 'are none about a question that is fine' do
    expect(codes).to eq([])
    expect(codes(kind: 'number', low: 1, high: 2, right: { number: 1 })).to eq([])
  end

  it 'are about what nobody could answer, and what is hard to read' do
    expect(codes(text: ' ')).to eq([:question_empty])
    expect(codes(options: [{ id: 'a', text: 'Red' }])).to eq([:too_few_options])
    expect(codes(options: [{ id: 'a', text: 'Red' }, { id: 'b', text: ' RED!' }])).to eq([:options_alike])
    expect(codes(options: [{ id: 'a', text: 'Red' }, { id: 'a', text: 'Green' }])).to eq([:options_alike])
    expect(codes(options: [{ id: 'a', text: '' }, { id: 'b', text: 'Green' }])).to eq([:option_empty])
    expect(codes(options: [{ id: 'a', text: '', picture: { material: 'm', version: 1, slide: 1 } }, { id: 'b', text: 'Green' }])).to eq([])
    expect(codes(kind: 'several', fewest: 3)).to eq([:too_many_wanted])
    expect(codes(kind: 'number', low: 3, high: 2)).to eq([:nothing_between])
    expect(codes(kind: 'spot')).to eq([:nothing_to_mark])
    expect(codes(right: { options: ['z'] })).to eq([:no_such_option])
    expect(codes(right: {})).to eq([:no_right_answer])
    expect(codes(text: 'x' * 200)).to eq([:long_for_a_phone])
    expect(codes(text: 'x' * 200, options: [])).to eq(%i[too_few_options long_for_a_phone])
    grave = { kind: 'one', text: '', options: [] }
    expect { Core::Polls::Question.sound!(grave) }.to refusing(:question_empty)
  end

  it 'is no question with more options than can be read' do
    many = Array.new(31) { |i| { id: "o#{i}", text: i.to_s } }
    expect { Core::Contract.check(Core::Polls::Question::CONTRACT, JSON.parse(JSON.generate({ kind: 'one', text: 'Which?', options: many }))) }.to refusing(:bad_input)
    expect { Core::Contract.check(Core::Polls::Question::CONTRACT, { 'kind' => 'number', 'text' => 'How far?', 'low' => 1e300 }) }.to refusing(:bad_input)
  end
end
