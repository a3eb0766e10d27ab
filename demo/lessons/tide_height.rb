# frozen_string_literal: true

module Demo
  # Evening 2, held last week: the height of tide by the rule of twelfths. Low water 12:05, 0.9 m;
  # high water 18:20, 4.6 m. The rise of 3.7 m takes 6 h 15 min, so an "hour" of the rule is
  # 62½ min, and 15:10 is three of them after low water: 0.9 + 6/12 × 3.7 = 2.75 m.
  class TideHeight
    STEPS = [
      { id: 'ports', title: 'Your port', minutes: 10, shortest: 8, notes: 'Everyone writes the port they sail from.',
        board: 'tide-ports' },
      { id: 'differ', title: 'Why tides differ', minutes: 18, shortest: 12, notes: 'Springs and neaps; the Sound is a funnel.',
        board: 'tide-moon' },
      { id: 'twelfths', title: 'Rule of twelfths', minutes: 22, shortest: 18,
        notes: 'Draw the curve slowly. Let Keiko do the sum.', board: 'tide-curve' },
      { id: 'own', title: 'Own sums', minutes: 22, shortest: 15, notes: 'Each puts an answer on the board.', board: 'tide-sums' },
      { id: 'sum-up', title: 'Sum up', minutes: 14, shortest: 6, notes: 'When the rule fails: double high waters.',
        board: 'tide-curve' }
    ].freeze
    BOARDS = { 'tide-ports' => 'Your port', 'tide-moon' => 'Why tides differ', 'tide-curve' => 'How high is the water at 15:10?',
               'tide-sums' => 'Own sums' }.freeze
    PORTS = ['Wick Quay', 'Little Anson', 'Wick Quay', 'Corran', 'Sable Rock moorings', 'Little Anson', 'Wick Quay'].freeze

    # By the rule of twelfths the water rises by 1, 2, 3, 3, 2 and 1 twelfths of its range in six hours.
    THIRD_HOUR = { kind: 'one', text: 'How much of its range does the tide rise in the third hour?', right: { options: ['three'] },
                   explanation: 'One, two, three, three, two, one: the third and fourth hours bring a quarter of the range each.',
                   options: [{ id: 'one', text: 'A twelfth' }, { id: 'two', text: 'Two twelfths' }, { id: 'three', text: 'Three twelfths' },
                             { id: 'six', text: 'Half of it' }] }.freeze

    # What is said, as the assistant types it for those who read along, each line some seconds after the one before.
    SAID = { 10.6 => ['Why are tides not the same every day?', 'Two bodies pull: the Moon, and the Sun.', 'The Moon is small, but near.'],
             12.2 => ['Here is the Earth, and there the Moon.', 'When Sun and Moon are in line, their pulls add up.', 'That is a spring tide, with a large range.'],
             19.6 => ['Farah asks why springs come late.', 'The water needs time to answer.'],
             28.4 => ['Now the rule of twelfths.', 'In the first hour the tide rises one twelfth of its range.', 'Two in the second, three in the third.',
                      'Then three, two, and one again.'],
             36.4 => ['It works at springs too, as long as the curve is smooth.'] }.freeze

    def initialize(archive, starts_at:)
      @archive = archive
      @starts_at = starts_at
    end

    def build
      @archive.lessons.create(id: 'tide', course_id: School::NAVIGATION, number: 2, title: 'Tide height and the rule of twelfths',
                              minutes: 90, starts_at: Time.at(@starts_at / 1000), steps: STEPS)
      BOARDS.each { |id, name| @archive.lessons.add_board('tide', id: id, name: name) }
      prepare(Hands.new(@archive), @starts_at - 2 * 86_400_000)
      hold
      @archive.recordings.update('tide-class', shared: true)
      cut
    end

    private

    # The break, and a minute of sound trouble.
    def cut
      { 'break' => [50.2, 53.4], 'sound' => [71, 72] }.each do |id, minutes|
        from, to = minutes.map { |minute| @starts_at + (minute * 60_000).round }
        Veranda::Deciding::Perform.call(@archive.log, 'recording.cut', { id: id, from: from, to: to }, stream: 'recording/tide-class', at: to)
      end
    end

    def prepare(hands, at)
      hands.prepare('odalys', 'tide-ports', [Drawing.new(prefix: 'head').text(60, 50, 'Which port do you sail from?', size: 46)],
                    at: at)
      hands.prepare('odalys', 'tide-moon', moon, at: at + 60_000)
      hands.prepare('odalys', 'tide-curve', axes, at: at + 120_000)
      hands.prepare('odalys', 'tide-sums', sums, at: at + 180_000)
    end

    def moon
      drawing = Drawing.new(prefix: 'moon')
      [drawing.text(60, 50, 'Why tides differ', size: 46), drawing.ellipse(300, 360, 160, 160, ink: 'lake'),
       drawing.text(350, 420, 'Earth', size: 26), drawing.ellipse(1180, 400, 70, 70), drawing.text(1175, 490, 'Moon', size: 26)]
    end

    def axes
      drawing = Drawing.new(prefix: 'axis')
      [drawing.text(60, 50, 'How high is the water at 15:10?', size: 46), drawing.line([160, 860], [1520, 860]),
       drawing.line([160, 200], [160, 860]), drawing.text(50, 785, '0.9 m', size: 26), drawing.text(50, 255, '4.6 m', size: 26),
       drawing.text(150, 890, 'LW 12:05', size: 26), drawing.text(1330, 890, 'HW 18:20', size: 26)]
    end

    def sums
      drawing = Drawing.new(prefix: 'sum')
      [drawing.text(60, 50, 'Own sums', size: 46),
       drawing.text(60, 130, 'Little Anson: LW 09:40 0.6 m, HW 15:40 5.1 m. How high at 11:40?', size: 32)]
    end

    def hold
      people = School::STUDENTS.keys - %w[lamar]
      held = HeldClass.new(@archive, 'tide', starts_at: @starts_at, id: 'tide-class')
      held.gather(people)
      ports(held, people)
      differ(held)
      twelfths(held)
      caption(held)
      held.split(46.6, 'Half the range', 'twelfths', people, names: %w[Pell Corran Marram Sable], minutes: 3.5,
                                                             words: ['3.7 m ÷ 2 = 1.85 m', '0.9 + 1.85 = 2.75 m', 'At half time: 15:12', 'Springs: more'])
      third_hour(held, people)
      own_sums(held, people)
      sum_up(held)
      held.finish(88, people)
    end

    def caption(held)
      SAID.each { |minute, lines| lines.each_with_index { |words, i| held.caption('tomas', minute + i * 0.09, words) } }
    end

    def ports(held, people)
      held.move(0.2, 'ports')
      held.post('odalys', 0.6, 'Write the port you sail from on the board, anywhere.')
      people.first(12).each_with_index do |person, index|
        hand = Drawing.new(prefix: "#{person}-port", seed: index)
        place = [140 + 480 * (index % 3), 180 + 160 * (index / 3)]
        ink = Veranda::Core::Boards::Inks::NAMES[index % 6]
        held.put(person, 1.5 + index * 0.45, 'tide-ports', hand.text(*place, PORTS[index % PORTS.length], ink: ink, size: 34))
        held.put(person, 1.7 + index * 0.45, 'tide-ports',
                 hand.freehand([[place[0], place[1] + 56], [place[0] + 190, place[1] + 54]], ink: ink, width: 3))
      end
      held.post('gethin', 8, 'Half of us in Wick Quay!')
    end

    def differ(held)
      held.move(10.5, 'differ')
      held.allow(10.6, 'draw', false)
      hand = Drawing.new(prefix: 'differ', seed: 4)
      held.draw('odalys', 12, 'tide-moon', [
                  hand.arrow([460, 440], [1140, 435], ink: 'plum'), hand.text(720, 380, 'pulls', ink: 'plum'),
                  hand.freehand([[262, 440], [250, 400], [262, 350], [300, 312]], ink: 'lake', width: 6),
                  hand.freehand([[498, 440], [512, 400], [498, 352], [458, 312]], ink: 'lake', width: 6),
                  hand.note(220, 620, 'Springs: Sun and Moon in line, larger range'), hand.note(640, 620, 'Neaps: at right angles, smaller range'),
                  hand.note(1060, 620, 'Harrow Sound narrows, so the range grows towards Corran', ink: 'lake')
                ], every: 1.7)
      held.raise_hand('farah', 19)
      held.post('farah', 19.4, 'Why are springs two days after full moon here?')
      held.take_hand('farah', 20)
      held.post('odalys', 20.6, 'The water needs time to answer. The almanac gives the lag for each port.')
      held.point('odalys', 22, 'tide-moon', 1220, 660)
    end

    def twelfths(held)
      held.move(28, 'twelfths')
      hand = Drawing.new(prefix: 'twelfth', seed: 5)
      tide = ->(x) { 530 - 265 * Math.sin((x - 160) / 1200.0 * Math::PI - Math::PI / 2) }
      held.put('odalys', 29, 'tide-curve', hand.curve(160..1360, ink: 'lake', width: 5, took: 9_000, &tide))
      marks = [1, 2, 3, 3, 2, 1].each_with_index.flat_map do |twelfth, index|
        x = 160 + index * 200
        [hand.line([x + 200, 860], [x + 200, tide.call(x + 200)], ink: 'slate', width: 2),
         hand.text(x + 86, tide.call(x + 100) - 70, twelfth.to_s, ink: 'brick', size: 44)]
      end
      held.draw('odalys', 31, 'tide-curve', marks, every: 0.35)
      held.post('jonas', 36, 'Do twelfths work at springs too?')
      held.post('odalys', 36.6, 'Yes, as long as the curve is smooth. Ours is: check first.')
      held.allow(38, 'draw', true, person: 'keiko')
      keiko = Drawing.new(prefix: 'keiko', seed: 6)
      held.draw('keiko', 39, 'tide-curve', [
                  keiko.freehand([[760, 860], [760, 530]], ink: 'brick', width: 5), keiko.freehand([[760, 530], [160, 530]], ink: 'brick', width: 5),
                  keiko.text(250, 470, '0.9 + 6/12 × 3.7 ≈ 2.75 m', ink: 'brick', size: 36)
                ], every: 0.9)
      held.point('odalys', 43, 'tide-curve', 760, 530)
      held.put('odalys', 45, 'tide-curve', hand.note(980, 600, 'Twelfths assume a smooth curve. Ours is: check first.'))
      held.post('mirela', 46, 'So half the range by half time')
      held.post('odalys', 50.4, 'Three minutes, then own sums.')
    end

    # 09:40 to 15:40 is 6 h, so 11:40 is two hours in: 0.6 + 3/12 × 4.5 = 1.725, about 1.7 m.
    def own_sums(held, people)
      held.move(53.5, 'own')
      held.allow(53.6, 'draw', true)
      answers = ['1.7 m', '1.7 m', '1.73 m', '2.1 m', '1.7 m', '1.72 m', '1.7 m', '0.9 m', '1.7 m', '1.7 m']
      people.last(10).each_with_index do |person, index|
        hand = Drawing.new(prefix: "#{person}-sum", seed: 20 + index)
        place = [70 + 300 * (index % 5), 250 + 240 * (index / 5)]
        held.put(person, 56 + index * 1.1, 'tide-sums',
                 hand.note(*place, "#{School::PEOPLE[person].split.first}\n#{answers[index]}", w: 240, ink: 'lake'))
      end
      held.raise_hand('hana', 64)
      held.post('hana', 64.3, 'I got 0.9, what did I miss?')
      held.post('tomas', 65, 'Hana, count three twelfths for two hours: 1 + 2.')
      held.take_hand('hana', 66)
      held.undo('hana', 67, 'tide-sums')
      fresh = Drawing.new(prefix: 'hana-again', seed: 40)
      held.put('hana', 68, 'tide-sums', fresh.note(670, 730, "Hana\n1.7 m", w: 240, ink: 'moss'))
      held.post('odalys', 71.2, 'Sound is back. Sorry for that.')
    end

    # Six are right at first, and eleven once they have talked it over.
    def third_hour(held, people)
      before = people.zip(%w[three two three two three six three two three two three two six]).to_h
      after = before.transform_values { |answer| answer == 'two' ? 'three' : answer }
      held.ask(40, 'tide-third', THIRD_HOUR, [before, after])
    end

    def sum_up(held)
      held.move(75, 'sum-up')
      hand = Drawing.new(prefix: 'end', seed: 7)
      held.put('odalys', 77, 'tide-curve', hand.highlight([250, 492], [680, 492]))
      held.post('nils', 82, 'Clear now, thank you.')
      held.post('odalys', 85, 'For next week: bring the rule for crossing vessels.')
    end
  end
end
