# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Polls in a class' do
  let(:hall) { sitting }
  let(:odalys) { person(:odalys) }
  let(:crossing) do
    { kind: 'one', text: 'Red hull meets Green hull. Who gives way?', right: { options: ['red'] },
      options: [{ id: 'red', text: 'Red' }, { id: 'green', text: 'Green' }, { id: 'both', text: 'Both turn' }] }
  end

  def stage(question = crossing, **more) = staff('stage', question: question, **more)
  def staff(name, poll: 'p', **input) = hall.do(odalys, "poll.#{name}", { poll: poll, **input })
  def answer(who, value, round: 1, at: nil) = hall.do(person(who), 'poll.answer', { round: round, value: value }, **{ at: at }.compact)
  def poll(id = 'p') = hall.world.state("poll/s1.#{id}")
  def answers(id = 'p') = hall.world.state("answers/s1.#{id}")
  def results(question = crossing) = Core::Polls::Results.new(question, answers)
  def streams(who) = Core::Access::InClass.new(person(who), hall.state, hall.staff, hall.own(who)).streams

  it 'are known to nobody but staff until they are opened, and then without what is right' do
    stage(crossing.merge(explanation: 'Red has Green on her starboard side.'))
    expect(streams(:farah).grep(/poll/)).to be_empty
    staff('open', round: 1)
    expect(streams(:farah)).to include('poll/s1.p')
    expect(poll.view.to_s).not_to match(/right|starboard/)
    expect(streams(:odalys).grep(/answers/) + streams(:farah).grep(/answers/)).to be_empty
    %i[odalys farah].each { |who| expect(Core::Access::InClass.new(person(who), hall.state, hall.staff, hall.own(who)).reads?('answers/s1.p')).to be(false) }
    expect(Core::Access::InClass.new(person(:odalys), hall.state, hall.staff, hall.own(:odalys)).reads?('poll/s2.p')).to be(false)
  end

  it 'take the last answer of each while they are open, and of nobody else' do
    stage
    expect { answer(:farah, 'red') }.to refusing(:no_such_poll)
    staff('open', round: 1)
    answer(:farah, 'green')
    answer(:farah, 'red')
    expect(answer(:farah, 'red')).to be_nil
    expect { answer(:jonas, '9') }.to refusing(:no_such_option)
    expect { answer(:jonas, %w[red green]) }.to refusing(:no_such_option)
    expect { answer(:odalys, 'red') }.to refusing(:students_only)
    expect { answer(:oona, 'red') }.to refusing(:not_here)
    expect(answers.by_person(1)).to eq('farah' => ['red'])
    expect(answers.count(1)).to eq(1)
    staff('close', round: 1)
    expect { answer(:jonas, 'red') }.to refusing(:poll_closed)
    expect { answer(:jonas, 'red', round: 2) }.to refusing(:poll_closed)
  end

  it 'keep the first answer where answers stay as they are' do
    stage(crossing.merge(change: false))
    staff('open', round: 1)
    answer(:farah, 'green')
    expect(answer(:farah, 'green')).to be_nil
    expect { answer(:farah, 'red') }.to refusing(:answered_already)
  end

  it 'close by the clock, and take nothing that comes after it' do
    stage(crossing.merge(seconds: 30))
    opened = staff('open', round: 1)
    ends = poll.round[:ends_at]
    expect(ends).to eq(opened.at + 30_000)
    answer(:farah, 'red', at: ends)
    expect { answer(:jonas, 'red', at: ends + 1) }.to refusing(:poll_closed)
    expect([Core::Polls::ClosePoll.due(poll, hall.state, ends), Core::Polls::ClosePoll.due(poll, hall.state, ends + 1)]).to eq([nil, 1])
    staff('close', round: 1)
    staff('open', round: 2, seconds: nil)
    expect(poll.round[:ends_at]).to be_nil
    hall.do(odalys, 'class.end')
    expect(Core::Polls::ClosePoll.due(poll, hall.state, 0)).to eq(2)
    expect { answer(:farah, 'red', round: 2) }.to refusing(:class_ended)
    staff('close', round: 2)
    expect { staff('open', round: 3) }.to refusing(:class_ended)
  end

  it 'keep every round, and compare two of them' do
    stage
    staff('open', round: 1)
    expect(staff('open', round: 1)).to be_nil
    expect { staff('open', round: 2) }.to refusing(:poll_open)
    answer(:farah, 'green')
    answer(:jonas, 'red')
    staff('close', round: 1)
    expect { staff('open', round: 3) }.to refusing(:no_such_round)
    staff('open', round: 2, talk: 120)
    expect { answer(:farah, 'red', round: 2) }.to refusing(:poll_not_yet)
    expect([hall.clock, hall.clock + 120_000].map { |at| poll.taking(at) }).to eq([nil, 2])
    hall.clock += 120_000
    %i[farah jonas].each { |who| answer(who, 'red', round: 2) }
    found = results.of(2, since: 1)
    expect(found[:moves]).to eq(count: 2, ways: [{ from: ['green'], to: ['red'], count: 1 }, { from: ['red'], to: ['red'], count: 1 }],
                                right: { before: 0.5, after: 1.0, gain: 1.0 })
    expect([found[:before][:right], found[:tally][:right]]).to eq([0.5, 1.0])
    staff('close', round: 2)
    staff('clear', round: 1, on: true)
    expect(poll.standing.map { |round| round[:round] }).to eq([2])
    expect(results.of(1)[:tally][:count]).to eq(2)
    staff('clear', round: 1, on: false)
    expect(poll.standing.length).to eq(2)
  end

  it 'show what was shown as it was, and no longer once another round is open' do
    stage(crossing.merge(explanation: 'Rule 15.'))
    expect { staff('show', tell: true, results: {}) }.to refusing(:poll_not_opened)
    staff('open', round: 1)
    answer(:farah, 'red')
    staff('show', tell: false, results: results.of(1))
    expect(poll.shown).to include(round: 1, tally: include(count: 1))
    expect(poll.shown.keys).not_to include(:right, :explanation)
    staff('show', tell: true, results: results.of(1))
    expect(poll.shown).to include(right: { options: ['red'] }, explanation: 'Rule 15.')
    staff('seal')
    expect(poll.shown).to be_nil
    staff('close', round: 1)
    staff('show', tell: false, results: results.of(1))
    staff('open', round: 2)
    expect(poll.shown).to be_nil
    staff('close', round: 2)
    stage(crossing.merge(results: 'never'), poll: 'n')
    staff('open', poll: 'n', round: 1)
    expect { staff('show', poll: 'n', tell: false, results: {}) }.to refusing(:never_shown)
  end

  it 'are for one place alone where they are staged so, and are put away' do
    stage(crossing, place: 'annex')
    staff('open', round: 1)
    expect(streams(:farah).grep(/poll/)).to be_empty
    expect { staff('put_away') }.to refusing(:poll_open)
    staff('close', round: 1)
    stage(crossing, poll: 'q')
    staff('open', poll: 'q', round: 1)
    staff('close', poll: 'q', round: 1)
    staff('show', poll: 'q', tell: false, results: { round: 1, tally: { count: 0, right: nil } })
    staff('put_away', poll: 'q')
    expect([streams(:farah).grep(/poll/), poll('q').shown, poll('q').rounds.length]).to eq([[], nil, 1])
    staff('open', poll: 'q', round: 2)
    expect([streams(:farah).grep(/poll/), poll('q').rounds.length]).to eq([['poll/s1.q'], 2])
  end

  it 'are opened from a cue of the step' do
    steps = Stage::PLAN[:steps].map { |step| step[:id] == 'names' ? step.merge(cues: [{ id: 'p', kind: 'poll', question: crossing }]) : step }
    hall.do(odalys, 'class.plan', Stage::PLAN.merge(steps: steps)) if hall.state.planned?
    planned = sitting(open: true, steps: steps)
    planned.do(odalys, 'class.move', { step: 'names' })
    planned.do(odalys, 'poll.open', { poll: 'p', round: 1 })
    expect(planned.staff.cued).to eq(['p'])
    expect(planned.staff.polls['p']).to include(step: 'names', begun: true)
    expect(planned.world.state('poll/s1.p').round).to include(round: 1)
    expect { planned.do(odalys, 'class.cue', { cue: 'p' }) }.to refusing(:cue_is_poll)
    expect { planned.do(odalys, 'poll.open', { poll: 'fog', round: 1 }) }.to refusing(:no_such_poll)
  end

  it 'are answered by marks on a board, which are counted when the round is closed' do
    regions = [['l', 0], ['r', 800]].map { |id, x| { id: id, text: id.upcase, x: x, y: 0, w: 800, h: 1_000 } }
    asked = { kind: 'marks', text: 'Which side?', board: 'b1', page: 'p1', regions: regions, most: 1 }
    expect { stage(asked.merge(names: false)) }.to refusing(:marks_have_names)
    expect { stage(asked.merge(regions: regions.first(1))) }.to refusing(:too_few_options)
    expect { stage(asked.except(:board)) }.to refusing(:nothing_to_mark)
    stage(asked)
    staff('open', round: 1)
    expect { answer(:farah, ['l']) }.to refusing(:by_marks)
    drawn = board(sitting: hall)
    tick = ->(id, x) { { id: id, page: 'p1', kind: 'sign', sign: 'tick', x: x, y: 100, w: 40, h: 40, ink: 'moss' } }
    drawn.do(person(:farah), 'board.put', { marks: [tick.call('a', 100), tick.call('b', 1_000)] })
    drawn.do(person(:jonas), 'board.put', { marks: [tick.call('c', 900)] })
    drawn.do(odalys, 'board.put', { marks: [tick.call('d', 100)] })
    found = Core::Polls::CountMarks.count(drawn.state, asked, %w[farah jonas])
    expect(found).to eq('farah' => ['l'], 'jonas' => ['r'])
    staff('close', round: 1)
    rows = found.map { |who, value| { person: who, value: value } }
    hall.do(odalys, 'poll.count_marks', { round: 1, answers: rows })
    expect(hall.do(odalys, 'poll.count_marks', { round: 1, answers: rows })).to be_nil
    expect(results(asked).of(1)[:tally][:options]).to eq([{ id: 'l', count: 1 }, { id: 'r', count: 1 }])
    expect(hall.world.restored('answers/s1.p').by_person(1)).to eq(found)
  end

  it 'are opened one by one from a set, and say that they are part of it' do
    cue = { id: 'check', kind: 'set', label: 'Before we part', questions: [{ id: 'x', question: crossing }, { id: 'y', question: { kind: 'scale', text: 'How sure are you?' } }] }
    hall = sitting(steps: Stage::PLAN[:steps].map { |step| step[:id] == 'names' ? step.merge(cues: [cue]) : step })
    %w[x y].each { |id| hall.do(odalys, 'poll.open', { poll: id, round: 1 }) }
    expect(hall.world.state('poll/s1.y').set).to eq(id: 'check', title: 'Before we part')
    expect([hall.staff.cued, hall.staff.polls['x'][:set][:id]]).to eq([%w[check], 'check'])
    expect { hall.do(odalys, 'poll.open', { poll: 'check', round: 1 }) }.to refusing(:no_such_poll)
  end

  it 'show the pictures of another shelf where their lesson is taken there, and none that is not there' do
    picture = ->(id) { { picture: { material: id, version: 3, slide: 2 } } }
    asked = crossing.merge(picture.call('chart'), options: [{ id: 'a', text: 'Red', **picture.call('gone') }, { id: 'b', text: 'Green', **picture.call('chart') }])
    cue = { id: 'c', kind: 'set', questions: [{ id: 'x', question: asked }] }
    expect(Core::Lessons::Cues.materials(cue)).to eq(%w[chart gone])
    moved = Core::Lessons::Cues.on_materials(cue, { 'chart' => 'new' })[:questions].first[:question]
    expect(moved[:picture]).to eq(material: 'new', version: 1, slide: 2)
    expect(moved[:options].map { |option| option[:picture] }).to eq([nil, { material: 'new', version: 1, slide: 2 }])
    clip = { id: 'c', kind: 'clip', material: 'light' }
    expect(Core::Lessons::Cues.materials(clip)).to eq(%w[light])
    expect([{ 'light' => 'new' }, {}].map { |known| Core::Lessons::Cues.on_materials(clip, known)[:material] }).to eq(['new', nil])
    expect(Core::Lessons::Cues.on_materials({ id: 't', kind: 'timer', seconds: 9 }, {})).to eq(id: 't', kind: 'timer', seconds: 9)
  end

  it 'are asked in one go, as one writes in the exchange' do
    hall.do(odalys, 'poll.open', { poll: 'p', round: 1, text: "? Who gives way?\n= Red\nGreen" })
    expect(hall.staff.polls['p'][:question]).to include(kind: 'one', text: 'Who gives way?', right: { options: ['a'] })
    expect(poll.question.keys).not_to include(:right)
    expect { hall.do(odalys, 'poll.open', { poll: 'q', round: 1, text: "?\nRed" }) }.to refusing(:question_empty)
    expect { hall.do(odalys, 'poll.open', { poll: 'q', round: 1, text: "? Which?\n#{"x\n" * 31}" }) }.to refusing(:too_many_options)
  end

  it 'refuse what nobody could answer, and more than a class can hold' do
    expect { stage(crossing.merge(options: crossing[:options].first(1))) }.to refusing(:too_few_options)
    expect { stage(crossing.merge(options: Array.new(31) { |i| { id: "o#{i}", text: i.to_s } })) }.to refusing(:bad_input)
    stage
    staff('open', round: 1)
    expect { stage(crossing.merge(text: 'Another?')) }.to refusing(:poll_begun)
    (Core::Polls::Staged::MOST - 1).times { |i| stage(crossing, poll: "p#{i}") }
    expect { stage(crossing, poll: 'more') }.to refusing(:too_many_polls)
  end

  it 'put written answers together as staff say, and strike one from view' do
    asked = { kind: 'short', text: 'Name one sound signal.' }
    stage(asked)
    staff('open', round: 1)
    answer(:farah, 'Fog horn')
    answer(:jonas, 'bell')
    keys = -> { results(asked).of(1)[:tally][:groups].map { |group| group.values_at(:key, :words, :count) } }
    expect(keys.call).to eq([['fog horn', 'Fog horn', 1], ['bell', 'bell', 1]])
    staff('group', key: 'fog horn', to: 'bell')
    expect(keys.call).to eq([['bell', 'bell', 2]])
    staff('name_group', key: 'bell', words: 'Things that sound')
    expect(keys.call).to eq([['bell', 'Things that sound', 2]])
    staff('group', key: 'fog horn', to: nil)
    staff('strike', key: 'bell', on: true)
    expect(keys.call).to eq([['fog horn', 'Fog horn', 1]])
    expect(results(asked).of(1)[:tally][:count]).to eq(2)
    stage(crossing, poll: 'q')
    staff('open', poll: 'q', round: 1)
    expect { staff('strike', poll: 'q', key: 'bell', on: true) }.to refusing(:not_written)
  end

  describe 'without names' do
    let(:crossing) { { kind: 'yes_no', text: 'Did you find that hard?', names: false, right: { options: ['yes'] } } }

    it 'enter nothing of an answer, and keep of a round what was counted' do
      stage
      staff('open', round: 1)
      before = hall.world.entries('answers/s1.p').length + hall.world.entries('poll/s1.p').length
      answer(:farah, 'yes')
      answer(:jonas, 'no')
      expect(hall.world.entries('answers/s1.p').length + hall.world.entries('poll/s1.p').length).to eq(before)
      expect(hall.world.ballots.map(&:to_h)).to eq([{ poll: 'poll/s1.p', round: 1, person: 'farah', value: ['yes'], change: true },
                                                    { poll: 'poll/s1.p', round: 1, person: 'jonas', value: ['no'], change: true }])
      expect { answer(:farah, 'perhaps') }.to refusing(:no_such_option)
    end

    def count(ballots, round) = hall.do(odalys, 'poll.count', Core::Polls::CountBallots.count(ballots, round, crossing))

    it 'tell nothing of fewer than three answers, nor of fewer than three who moved' do
      stage
      staff('open', round: 1)
      voters = %w[t1 t2 t3 t4]
      first = { 't1' => ['yes'], 't2' => ['no'] }
      expect(Core::Polls::CountBallots.count({ 1 => first }, 1, crossing)).to eq(round: 1, count: 2, answers: [], moves: [])
      count({ 1 => first }, 1)
      expect(results.of(1)[:tally]).to eq(count: 2, right: nil)
      expect(count({ 1 => voters.to_h { |voter| [voter, ['yes']] } }, 1)).to be_nil
      second = voters.to_h { |voter| [voter, ['no']] }
      third = second.merge('t1' => ['yes'], 't2' => ['yes'])
      counted = Core::Polls::CountBallots.count({ 2 => second, 3 => third }, 3, crossing)
      expect(counted[:answers]).to eq([{ value: ['no'], count: 2 }, { value: ['yes'], count: 2 }])
      expect(counted[:moves]).to eq([{ since: 2, count: 4, ways: nil, right: { before: 0.0, after: 0.5, gain: 0.5 } }])
      moved = Core::Polls::CountBallots.count({ 2 => second, 3 => third.merge('t3' => ['yes']) }, 3, crossing)
      expect(moved[:moves].first[:ways]).to eq([{ from: ['no'], to: ['yes'], count: 3 }, { from: ['no'], to: ['no'], count: 1 }])
    end

    it 'are counted by the house alone' do
      stage
      staff('open', round: 1)
      expect(Core::Commands::INTERNAL.map(&:wire_name)).to include('poll.count', 'poll.show')
      expect { hall.do(person(:farah), 'poll.count', { round: 1, count: 0, answers: [], moves: [] }) }.to refusing(:staff_only)
    end
  end

  it 'never count more than there are people, and never lose a round, whatever is done in whatever order' do
    20.times do |seed|
      rng = Random.new(seed)
      track = sitting
      asked = crossing.merge(names: true, change: rng.rand < 0.5)
      track.do(odalys, 'poll.stage', { poll: 'p', question: asked })
      opened = 0
      60.times do
        state = track.world.state('poll/s1.p')
        number = rng.rand(1..[state.rounds.length, 1].max)
        begin
          case rng.rand(7)
          when 0 then track.do(odalys, 'poll.open', { poll: 'p', round: state.rounds.length + 1 }) && opened += 1
          when 1 then track.do(odalys, 'poll.close', { poll: 'p', round: number })
          when 2 then track.do(odalys, 'poll.clear', { poll: 'p', round: number, on: rng.rand < 0.5 })
          when 3 then track.do(odalys, 'poll.put_away', { poll: 'p' })
          else track.do(person(%i[farah jonas].sample(random: rng)), 'poll.answer', { round: number, value: %w[red green both].sample(random: rng) })
          end
        rescue Core::Refusal
          next
        end
      end
      # As if the server was killed: what is in the log, and what a snapshot holds, come to the same.
      %w[poll/s1.p answers/s1.p staff/s1].each do |name|
        expect(track.world.refolded(name).to_h).to eq(track.world.state(name).to_h)
        expect(JSON.generate(track.world.restored(name).to_h)).to eq(JSON.generate(track.world.state(name).to_h))
      end
      state, given = %w[poll/s1.p answers/s1.p].map { |name| track.world.refolded(name) }
      expect(state.rounds.map { |round| round[:round] }).to eq((1..opened).to_a)
      expect(state.rounds.map { |round| given.count(round[:round]) }).to all(be <= 2)
      expect(state.rounds.count { |round| round[:closed_at].nil? }).to be <= 1
    end
  end
end
