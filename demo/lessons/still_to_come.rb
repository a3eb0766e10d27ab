# frozen_string_literal: true

module Demo
  # Evenings 4 and 5, in preparation, open evenings that recur, and the course in which Odalys is a student.
  class StillToCome
    PASSAGE = [
      { id: 'harbours', title: 'Harbour names', minutes: 8, shortest: 5, notes: '', board: 'passage-plan',
        rules: { draw: true, post: true, props: true } },
      { id: 'pilot', title: 'Reading the pilot book', minutes: 16, shortest: 12, notes: '', board: 'passage-pilot' },
      { id: 'worked', title: 'Worked passage', minutes: 22, shortest: 18, notes: 'Leave leg 3 empty. Let Gethin do the sum.',
        board: 'passage-plan', cues: [{ id: 'leg', kind: 'timer', seconds: 300, label: 'First leg' }] },
      { id: 'groups', title: 'Plan in groups', minutes: 25, shortest: 20, notes: '', board: 'passage-plan' },
      { id: 'compared', title: 'Two plans compared', minutes: 15, shortest: 10, notes: '', board: 'passage-plan' },
      { id: 'take', title: 'What to take along', minutes: 8, shortest: 5, notes: '', board: 'passage-plan' }
    ].freeze

    # @param shelf [Shelf]
    # @param materials [Hash{Symbol => String}] what is on it
    def initialize(archive, today:, shelf:, materials:)
      @archive = archive
      @shelf = shelf
      @materials = materials
      @today = today
    end

    # @param today [Integer] ms; when the class of today begins
    def build
      passage
      @archive.lessons.create(id: 'night', course_id: School::NAVIGATION, number: 5, title: 'Night approaches and lights', minutes: 90,
                              starts_at: days(14), steps: [])
      @archive.lessons.create(id: 'fronts', course_id: School::WEATHER, number: 6, title: 'Fronts on a small-boat horizon', minutes: 45,
                              starts_at: days(0) + 8100, steps: [])
      open_evenings
    end

    private

    # Every other week from the tenth day on, at seven by the clocks of the course.
    def open_evenings
      day = Veranda::Core::Calendar::Zone.of(School::ZONE).wall(@today + (10 * 86_400_000))
      first = Time.utc(day.year, day.month, day.day, 19)
      plan = { series: 'open-evenings', title: 'Chart table: open questions', start: Veranda::Core::Calendar::WallTime.text(first),
               zone: School::ZONE, minutes: 60, rule: 'FREQ=WEEKLY;INTERVAL=2;COUNT=4' }
      Veranda::Deciding::Perform.call(@archive.log, 'course.plan_series', plan, stream: "course/#{School::NAVIGATION}", by: School.person('odalys'))
      Veranda::Preparing::LayingSeries.new(@archive, School::NAVIGATION, 'open-evenings').call
    end

    def days(count) = Time.at(@today / 1000) + count * 86_400

    def passage
      @archive.lessons.create(id: 'passage', course_id: School::NAVIGATION, number: 4, title: 'A passage plan to Little Anson', minutes: 90,
                              starts_at: days(7), steps: steps)
      @archive.lessons.lay('passage', record_from: nil)
      @archive.lessons.add_board('passage', id: 'passage-plan', name: 'Wick Quay to Little Anson')
      @shelf.board('passage', 'passage-pilot', 'Pilot notes', @materials[:pilot])
      Hands.new(@archive).prepare('odalys', 'passage-plan', plan, at: @today - 3_600_000)
    end

    # What Pell Light looks like from the sea lies on a video site.
    def steps
      seen = { material: @materials[:lights], cues: [{ id: 'pell', kind: 'clip', material: @materials[:lights], label: 'Lights at night' }] }
      PASSAGE.map { |step| step[:id] == 'pilot' ? step.merge(seen) : step }
    end

    def plan
      drawing = Drawing.new(prefix: 'plan')
      [drawing.text(60, 50, 'Wick Quay to Little Anson', size: 46),
       drawing.line([180, 560], [560, 420], ink: 'lake', width: 5), drawing.line([560, 420], [960, 660], ink: 'lake', width: 5),
       drawing.line([960, 660], [1400, 500], ink: 'lake', width: 5), drawing.text(110, 600, 'Wick Quay'), drawing.text(470, 350, 'Pell Light, leave to port'),
       drawing.text(820, 710, 'Marram Bar: 2.1 m at LW'), drawing.text(1350, 430, 'Little Anson'),
       drawing.text(700, 490, 'leg 2: 120°, 3.7 nm', ink: 'lake', size: 23), drawing.text(200, 430, 'leg 1: 074°, 3.1 nm', ink: 'lake')]
    end
  end
end
