# frozen_string_literal: true

module Demo
  # Evening 1, held two weeks ago: what the signs on a chart of Harrow Sound mean.
  class ReadingTheChart
    STEPS = [
      { id: 'welcome', title: 'Who is here', minutes: 15, shortest: 10, notes: 'Ask for one trip each would like to make.',
        board: 'chart-names' },
      { id: 'signs', title: 'Signs on the chart', minutes: 35, shortest: 25,
        notes: 'Depths are below chart datum, heights above high water.', board: 'chart-signs' },
      { id: 'sum-up', title: 'Sum up', minutes: 10, shortest: 5, notes: '', board: 'chart-signs' }
    ].freeze

    def initialize(archive, starts_at:)
      @archive = archive
      @starts_at = starts_at
    end

    def build
      @archive.lessons.create(id: 'chart', course_id: School::NAVIGATION, number: 1, title: 'Reading the chart', minutes: 60,
                              starts_at: Time.at(@starts_at / 1000), steps: STEPS)
      { 'chart-names' => 'Who is here', 'chart-signs' => 'Signs on the chart' }.each do |id, name|
        @archive.lessons.add_board('chart', id: id, name: name)
      end
      Hands.new(@archive).prepare('odalys', 'chart-signs', signs, at: @starts_at - 86_400_000)
      hold
      @archive.recordings.update('chart-class', shared: true)
    end

    private

    def signs
      drawing = Drawing.new(prefix: 'sign')
      [drawing.text(60, 50, 'Signs on the chart of Harrow Sound', size: 46),
       drawing.curve(40..1560, step: 40, ink: 'umber') { |x| 820 + 40 * Math.sin(x / 190.0) },
       drawing.text(1240, 900, 'Corran Narrows', ink: 'umber')]
    end

    def hold
      people = School::STUDENTS.keys.first(11)
      held = HeldClass.new(@archive, 'chart', starts_at: @starts_at, id: 'chart-class')
      held.gather(people)
      held.move(0, 'welcome')
      people.each_with_index do |person, index|
        hand = Drawing.new(prefix: "#{person}-name", seed: index)
        held.put(person, 3 + index * 0.6, 'chart-names',
                 hand.text(120 + 480 * (index % 3), 160 + 150 * (index / 3), School::PEOPLE[person], size: 34))
      end
      held.move(14, 'signs')
      explain(held)
      held.split(30, 'What dries at low water?', 'signs', people, names: %w[Pell Corran Marram Sable], minutes: 15,
                                                                  words: ['4₂ is always covered', '1₆ dries by 1.6 m', 'Marram Bar dries', 'Sable Rock: dries 0.4 m'])
      held.move(48, 'sum-up')
      held.post('odalys', 50, 'For next Monday: find three depths that dry at low water.')
      held.finish(58, people)
    end

    def explain(held)
      hand = Drawing.new(prefix: 'explain', seed: 9)
      held.draw('odalys', 16, 'chart-signs', [
                  hand.text(120, 190, '4₂', size: 52), hand.note(240, 170, '4.2 m below chart datum'),
                  hand.text(120, 340, '1₆', size: 52, ink: 'moss'), hand.line([118, 404], [172, 404], ink: 'moss'),
                  hand.note(240, 320, 'Underlined: dries 1.6 m above chart datum'),
                  hand.ellipse(820, 240, 70, 70, ink: 'plum'), hand.text(910, 250, 'Pell Light  Fl(2) 10s 21m 12M', ink: 'plum'),
                  hand.text(910, 310, 'two flashes every 10 s, 21 m high, seen 12 miles off', size: 24)
                ], every: 1.4)
      held.raise_hand('jonas', 27)
      held.post('jonas', 27.3, 'Is 12M miles or metres?')
      held.take_hand('jonas', 28)
      held.post('odalys', 28.2, 'Capital M is nautical miles; small m is metres.')
    end
  end
end
