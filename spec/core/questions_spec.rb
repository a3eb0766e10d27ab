# frozen_string_literal: true

require_relative '../core_helper'

RSpec.describe 'Questions of a class' do
  let(:hall) { sitting }
  let(:odalys) { person(:odalys) }

  def ask(who, id, text = 'Does it hold at anchor?', nameless: false) = hall.do(person(who), 'question.ask', { id: id, text: text, nameless: nameless })
  def staff(name, **input) = hall.do(odalys, "question.#{name}", input)
  def all = hall.world.state('questions/s1')
  def asked = hall.world.state('asked/s1')

  it 'are read by all, or by staff alone until they let all see them' do
    ask(:farah, 'a')
    staff('set', review: true, nameless: false)
    ask(:jonas, 'b', 'Why did he stop showing up?')
    expect([all.all.keys, asked.all.keys]).to eq([%w[a], %w[b]])
    streams = ->(who) { Core::Access::InClass.new(person(who), hall.state, hall.staff, hall.own(who)).streams }
    expect(streams.call(:farah)).to include('questions/s1')
    expect(streams.call(:farah)).not_to include('asked/s1')
    expect(streams.call(:odalys)).to include('questions/s1', 'asked/s1')
    expect(Core::Access.recorded(hall.state)).to include('questions/s1')
    expect(Core::Access.recorded(hall.state)).not_to include('asked/s1')
    staff('review', id: 'b', pass: false)
    expect(all.all.keys).to eq(%w[a])
    staff('review', id: 'b', pass: true)
    expect(all.all['b']).to include(text: 'Why did he stop showing up?', name: 'Jonas Whitlock', state: 'open', number: 2)
    expect(staff('review', id: 'b', pass: true)).to be_nil
    ask(:farah, 'c')
    expect(asked.all['c'][:number]).to eq(3)
  end

  it 'without a name carry none, and only the minute, where that is allowed' do
    expect { ask(:farah, 'a', nameless: true) }.to refusing(:name_needed)
    staff('set', review: false, nameless: true)
    entry = nil
    Core::Commands.decide('question.ask', { 'id' => 'a', 'text' => 'Why?', 'nameless' => true }) do |_, input|
      concern = Core::Streams::Concern.new('questions/s1', sitting_id: 's1', by: 'farah', input: input)
      Core::Scene.new(concern, by: person(:farah), at: 5_000_000, rng: Random.new(1)) { |name| hall.world.state(name) }
    end.tap { |drafts| entry = drafts.first }
    expect([entry.nameless, entry.body]).to eq([true, { id: 'a', number: 1, text: 'Why?', state: 'open', by: nil, name: nil }])
  end

  it 'are voted for once by each who did not ask them; what was put to another counts there' do
    ask(:farah, 'a')
    ask(:jonas, 'b', 'At anchor too?')
    expect { staff('vote', id: 'a', on: true) }.to refusing(:students_only)
    hall.do(person(:jonas), 'question.vote', { id: 'a', on: true })
    expect(hall.world.ballots.last.to_h).to eq(poll: 'questions/s1', round: 1, person: 'jonas', value: 'up', change: true)
    ballots = { 1 => { 'F' => 'own', 'J' => 'up', 'N' => 'up', 'K' => 'none' }, 2 => { 'J' => 'own', 'F' => 'up', 'H' => 'up' } }
    expect(Core::Questions::Vote.counts(ballots, all)).to eq([{ id: 'a', count: 2 }, { id: 'b', count: 2 }])
    staff('merge', id: 'b', into: 'a')
    # Jonas and Nils voted for the first, Hana for the other; Farah asked it.
    expect(Core::Questions::Vote.counts(ballots, all)).to eq([{ id: 'a', count: 3 }])
    staff('count', votes: [{ id: 'a', count: 3 }, { id: 'gone', count: 9 }])
    expect(all.all['a'][:votes]).to eq(3)
    expect { hall.do(person(:jonas), 'question.vote', { id: 'b', on: true }) }.to refusing(:question_answered)
    expect { staff('merge', id: 'a', into: 'a') }.to refusing(:same_question)
    ask(:jonas, 'c', 'And in fog?')
    expect { staff('merge', id: 'a', into: 'c') }.to refusing(:question_merged)
  end

  it 'are answered now, said to be answered, and in writing also after the class' do
    ask(:farah, 'a')
    ask(:jonas, 'b')
    staff('answer_now', id: 'a')
    expect(all.now).to eq('a')
    staff('done', id: 'a')
    expect([all.now, all.all['a'][:state]]).to eq([nil, 'answered'])
    expect { staff('answer_now', id: 'a') }.to refusing(:question_answered)
    hall.do(odalys, 'class.end')
    expect { ask(:farah, 'c') }.to refusing(:class_ended)
    staff('done', id: 'b', words: ' Yes: Rule 30. ')
    expect(all.all['b']).to include(state: 'answered', answer: 'Yes: Rule 30.')
    expect(all.waiting).to be_empty
  end

  it 'refuse what is empty, too long, asked twice, and more than a class can hold' do
    expect { ask(:farah, 'a', ' ') }.to refusing(:post_empty)
    expect { ask(:farah, 'a', 'x' * 501) }.to refusing(:post_too_long)
    ask(:farah, 'a')
    expect { ask(:jonas, 'a') }.to refusing(:question_exists)
    expect { hall.do(person(:oona), 'question.ask', { id: 'z', text: 'Me?', nameless: false }) }.to refusing(:not_here)
    (Core::Questions::Questions::MOST - 1).times { |i| ask(:farah, "q#{i}") }
    expect { ask(:farah, 'more') }.to refusing(:too_many_questions)
  end
end
