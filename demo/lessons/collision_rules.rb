# frozen_string_literal: true

module Demo
  # Evening 3, today: the collision rules in narrow water. The rules meant are those of the
  # International Regulations for Preventing Collisions at Sea, 1972: 7 (risk), 9 (narrow
  # channels), 15 (crossing), 16 (give-way vessel), 19 and 35 (restricted visibility).
  class CollisionRules
    STEPS = [
      { id: 'names', title: 'Names', minutes: 10, shortest: 6, notes: 'Everyone writes a first name; sort them together.',
        board: 'rules-names' },
      { id: 'lights', title: 'Lights recap', minutes: 20, shortest: 12, notes: 'Red to port. Ask Hana first.',
        board: 'rules-lights' },
      { id: 'crossing', title: 'Crossing', minutes: 35, shortest: 25, board: 'rules-crossing',
        notes: 'Ask first, then draw. Farah and Jonas mixed up port last week. Show Sable Rock from the north.' },
      { id: 'fog', title: 'Fog drill', minutes: 28, shortest: 20, notes: 'Three groups. One sounds, the others say what she is.',
        board: 'rules-fog' },
      { id: 'reports', title: 'Reports', minutes: 15, shortest: 10, notes: 'Two minutes for each group.', board: 'rules-fog' },
      { id: 'sum-up', title: 'Sum up', minutes: 12, shortest: 6, notes: '', board: 'rules-crossing' }
    ].freeze
    BOARDS = { 'rules-names' => 'Names', 'rules-lights' => 'Lights recap', 'rules-crossing' => 'Crossing in Corran Narrows',
               'rules-fog' => 'Fog drill' }.freeze

    def initialize(archive, starts_at:)
      @archive = archive
      @starts_at = starts_at
    end

    def build
      @archive.lessons.create(id: 'rules', course_id: School::NAVIGATION, number: 3, title: 'Collision rules in narrow water',
                              minutes: 120, starts_at: Time.at(@starts_at / 1000), steps: STEPS)
      @archive.db[:lessons].where(id: 'rules').update(record_from: 'lights')
      BOARDS.each { |id, name| @archive.lessons.add_board('rules', id: id, name: name) }
      hands = Hands.new(@archive)
      boards.each_with_index do |(id, marks), index|
        hands.prepare('odalys', id, marks, at: @starts_at - 86_400_000 + index * 300_000)
      end
    end

    private

    def boards = { 'rules-names' => names, 'rules-lights' => lights, 'rules-crossing' => crossing, 'rules-fog' => fog }

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
       end, drawing.text(1280, 470, 'fairway', ink: 'lake', size: 26),
       drawing.boat(450, 720, 28, ink: 'brick'), drawing.text(300, 820, 'Red hull, 5 kn', ink: 'brick'),
       drawing.arrow([478, 640], [590, 430], ink: 'brick'),
       drawing.boat(1060, 560, 278, ink: 'moss'), drawing.text(980, 640, 'Green hull, 7 kn', ink: 'moss'),
       drawing.arrow([980, 572], [700, 612], ink: 'moss'), drawing.text(1446, 204, 'Sable Rock', size: 26),
       drawing.freehand([[1400, 240], [1416, 208], [1432, 240], [1400, 240]], ink: 'moss')]
    end

    def fog
      drawing = Drawing.new(prefix: 'fog')
      [drawing.text(60, 50, 'Fog drill: what is she?', size: 46), drawing.rectangle(60, 170, 460, 640), drawing.rectangle(570, 170, 460, 640),
       drawing.rectangle(1080, 170, 460, 640), drawing.text(90, 190, 'Group Pell', ink: 'plum'), drawing.text(600, 190, 'Group Sable', ink: 'lake'),
       drawing.text(1110, 190, 'Group Marram', ink: 'moss'),
       drawing.text(60, 850, 'One long: power, making way.  Two long: power, stopped.  Long, short, short: sailing.', size: 30)]
    end
  end
end
