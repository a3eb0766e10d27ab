# frozen_string_literal: true

module Demo
  # Evening 3, today: the collision rules in narrow water. The rules meant are those of the
  # International Regulations for Preventing Collisions at Sea, 1972: 7 (risk), 9 (narrow
  # channels), 15 (crossing), 16 (give-way vessel), 19 and 35 (restricted visibility).
  class CollisionRules
    # House rules as steps bring them: students watch, or do everything.
    WATCH = { draw: false, post: true, props: false }.freeze
    JOIN_IN = { draw: true, post: true, props: true }.freeze

    ROOMS = { by: 'rooms', number: 3, way: 'deal', names: %w[Pell Marram Sable], minutes: 20, ask: 20, open_doors: true, recorded: true,
              words: 'Roll for visibility, then place your counters. One of you is the lookout. Write who gives way and why.' }.freeze

    # Rule 15: of two power-driven vessels that cross, the one which has the other on her own starboard side keeps out of the way.
    WHO = { kind: 'one', text: 'Red hull meets Green hull. Who gives way?', right: { options: ['red'] },
            explanation: 'Rule 15: Red has Green on her own starboard side, so Red keeps out of the way.',
            options: [{ id: 'red', text: 'Red gives way' }, { id: 'green', text: 'Green gives way' }, { id: 'both', text: 'Both turn' }] }.freeze
    SIGNAL = { kind: 'short', text: 'Name one sound signal in fog, and who gives it.', names: false }.freeze
    SURE = { kind: 'scale', text: 'How sure are you of Rule 15 now?', ends: ['not at all', 'quite sure'], names: false }.freeze

    STEPS = [
      { id: 'names', title: 'Names', minutes: 10, shortest: 6, notes: 'Everyone writes a first name; sort them together.',
        board: 'rules-names', rules: JOIN_IN },
      { id: 'lights', title: 'Lights recap', minutes: 20, shortest: 12, notes: 'Red to port. Ask Hana first.',
        board: 'rules-slides', rules: WATCH,
        cues: [{ id: 'lights-look', kind: 'show', board: 'rules-lights', page: 'p1' }, { id: 'lights-own', kind: 'hand_out', board: 'rules-lights' }] },
      { id: 'crossing', title: 'Crossing', minutes: 35, shortest: 25, board: 'rules-crossing', rules: JOIN_IN,
        notes: 'Ask first, then draw. Farah and Jonas mixed up port last week. Show Sable Rock from the north.',
        cues: [{ id: 'crossing-who', kind: 'poll', question: WHO },
               { id: 'crossing-think', kind: 'timer', seconds: 120, label: 'Think', until_done: true },
               { id: 'crossing-rule', kind: 'show', board: 'rules-slides', page: 'p1' },
               { id: 'crossing-pairs', kind: 'pairs', size: 2, board: 'rules-crossing' }] },
      { id: 'fog', title: 'Fog drill', minutes: 28, shortest: 20, notes: 'Three groups. One sounds, the others say what she is.',
        board: 'rules-fog',
        cues: [{ id: 'fog-signal', kind: 'poll', question: SIGNAL },
               { id: 'fog-rooms', kind: 'rooms', label: 'Fog drill', plan: ROOMS },
               { id: 'fog-round', kind: 'timer', seconds: 300, label: 'Round' }] },
      { id: 'reports', title: 'Reports', minutes: 15, shortest: 10, notes: 'Two minutes for each group.', board: 'rules-fog' },
      { id: 'sum-up', title: 'Sum up', minutes: 12, shortest: 6, notes: '', board: 'rules-crossing',
        cues: [{ id: 'sum-sure', kind: 'poll', question: SURE }] }
    ].freeze
    WELCOME = "Good evening. Have your chart of Corran Narrows and a soft pencil at hand.\nWe begin with names, so think of one word for last week."
    BOARDS = { 'rules-names' => 'Names', 'rules-lights' => 'Lights recap', 'rules-crossing' => 'Crossing in Corran Narrows',
               'rules-fog' => 'Fog drill' }.freeze

    # @param shelf [Shelf]
    # @param materials [Hash{Symbol => String}] what is on it
    def initialize(archive, starts_at:, shelf:, materials:)
      @archive = archive
      @shelf = shelf
      @materials = materials
      @starts_at = starts_at
    end

    def build
      steps = STEPS.map { |step| step[:id] == 'fog' ? with_clip(step) : step }
      @archive.lessons.create(id: 'rules', course_id: School::NAVIGATION, number: 3, title: 'Collision rules in narrow water',
                              minutes: 120, starts_at: Time.at(@starts_at / 1000), steps: steps)
      @archive.lessons.lay('rules', record_from: 'lights', welcome: WELCOME, welcome_ink: 'lake')
      BOARDS.each { |id, name| @archive.lessons.add_board('rules', id: id, name: name) }
      @shelf.board('rules', 'rules-slides', 'Collision rules, slides', @materials[:deck])
      hands = Hands.new(@archive)
      boards.each_with_index do |(id, marks), index|
        hands.prepare('odalys', id, marks, at: @starts_at - 86_400_000 + index * 300_000)
      end
    end

    private

    # The light that they are to tell at sea.
    def with_clip(step)
      clip = @materials[:light]
      step.merge(material: clip, cues: [*step[:cues], { id: 'fog-light', kind: 'clip', material: clip, label: 'A light at sea' }])
    end

    def boards = { 'rules-names' => names, 'rules-lights' => lights, 'rules-crossing' => crossing, 'rules-fog' => fog,
                   'rules-slides' => on_slides }

    # What Odalys wrote on the second and third slide beforehand.
    def on_slides
      pages = @archive.log.state('board/rules-slides').first.pages
      channel, crossing = Drawing.new(prefix: 'rule9', page: pages[1]), Drawing.new(prefix: 'rule15', page: pages[2])
      [channel.highlight([100, 232], [1220, 232]), channel.note(1080, 560, 'Corran Narrows is one.', size: 30),
       crossing.boat(1180, 640, 300, ink: 'moss'), crossing.boat(760, 720, 20, ink: 'brick'), crossing.arrow([790, 640], [880, 470], ink: 'brick')]
    end

    def names
      drawing = Drawing.new(prefix: 'names')
      [drawing.text(60, 50, 'Write your first name', size: 46), drawing.note(1180, 60, 'Then we sort them from A to Z.')]
    end

    def lights
      drawing = Drawing.new(prefix: 'lights')
      [drawing.text(60, 50, 'What do you see, and what is she?', size: 46),
       drawing.boat(360, 430, 0, ink: 'slate', size: 90), drawing.ellipse(290, 330, 36, 36, ink: 'brick', width: 10),
       drawing.text(150, 330, 'port: red', ink: 'brick'), drawing.ellipse(394, 330, 36, 36, ink: 'moss', width: 10),
       drawing.text(460, 330, 'starboard: green', ink: 'moss'), drawing.ellipse(344, 505, 32, 32, width: 6), drawing.text(400, 510, 'stern: white'),
       drawing.note(900, 240, 'Sidelights reach from right ahead to 22.5° abaft the beam.'),
       drawing.note(900, 440, 'The stern light fills the rest: 135°.', ink: 'lake')]
    end

    def crossing
      drawing = Drawing.new(prefix: 'crossing')
      [drawing.text(60, 50, 'Crossing in Corran Narrows', size: 46),
       drawing.curve(0..1600, step: 40, ink: 'umber', width: 5) { |x| 250 - 60 * Math.sin(x / 260.0 + 0.6) },
       drawing.curve(0..1600, step: 40, ink: 'umber', width: 5) { |x| 880 + 40 * Math.sin(x / 230.0) },
       drawing.curve(60..1540, step: 60, ink: 'lake', width: 3) do |x|
         690 - x * 0.11
       end, drawing.text(1280, 470, 'fairway', ink: 'lake'),
       drawing.boat(450, 720, 28, ink: 'brick'), drawing.text(300, 820, 'Red hull, 5 kn', ink: 'brick'),
       drawing.arrow([478, 640], [590, 430], ink: 'brick'),
       drawing.boat(1060, 560, 278, ink: 'moss'), drawing.text(980, 640, 'Green hull, 7 kn', ink: 'moss'),
       drawing.arrow([980, 572], [700, 612], ink: 'moss'), drawing.text(1430, 200, 'Sable Rock'),
       drawing.freehand([[1400, 240], [1416, 208], [1432, 240], [1400, 240]], ink: 'moss')]
    end

    # Who sounds next is drawn.
    def dice(x, y)
      { id: 'fog-dice', page: 'p1', kind: 'prop', prop: 'dice', settings: { count: 1, faces: 6 }, x: x, y: y, w: 100, h: 100, ink: 'lake' }
    end

    def fog
      drawing = Drawing.new(prefix: 'fog')
      [drawing.text(60, 50, 'Fog drill: what is she?', size: 46), drawing.rectangle(60, 170, 460, 640), drawing.rectangle(570, 170, 460, 640),
       drawing.rectangle(1080, 170, 460, 640), drawing.text(90, 190, 'Group Pell', ink: 'plum'), drawing.text(600, 190, 'Group Sable', ink: 'lake'),
       drawing.text(1110, 190, 'Group Marram', ink: 'moss'),
       dice(1180, 30), drawing.text(60, 850, 'One long: power, making way.  Two long: power, stopped.  Long, short, short: sailing.', size: 30)]
    end
  end
end
