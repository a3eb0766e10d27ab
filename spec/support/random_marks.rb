# frozen_string_literal: true

# Marks of every kind as clients send them, for properties that hold for all of them.
module RandomMarks
  BASES = Veranda::Core::Boards::Mark
  SETTINGS = {
    'dice' => { count: 2, faces: 6 }, 'spinner' => { labels: ['Wait & see', 'Go'], weights: [1, 2.5] }, 'counter' => { shape: 'boat' },
    'timer' => { seconds: 90 }, 'picker' => { names: ['Inês "A"', 'Farah'] }
  }.freeze

  def random_mark(rng, index)
    base = { id: "m#{index}", page: 'p1', x: rng.rand(1600), y: (rng.rand * 1000).round(1),
             ink: Veranda::Core::Boards::Inks::NAMES.sample(random: rng), **(rng.rand(4).zero? ? { locked: true } : {}),
             **(rng.rand(3).zero? ? { angle: (rng.rand * 300 - 150).round(1) } : {}), **(rng.rand(4).zero? ? { group: 'g1' } : {}) }
    kind = Veranda::Core::Boards::Mark::KINDS.sample(random: rng)
    base.merge(kind: kind, **random_fields(kind, rng))
  end

  def random_fields(kind, rng)
    size = { w: rng.rand(400), h: (rng.rand * 200).round(1) }
    case kind
    when *BASES::DRAWN then random_line(kind, rng)
    when *BASES::BOXED then { width: 3, fill: rng.rand(2).zero?, **size }
    when *BASES::WRITTEN
      { text: ['Give way & <turn>', "two\nlines", ' “É” ', 'a"b\'c', ''].sample(random: rng), size: 28, w: 300 }
    when 'image' then { material: 'chart', version: 2, slide: 1 + rng.rand(9), alt: ['', 'A chart of "Harrow" & more'].sample(random: rng), **size }
    when 'sign' then { sign: BASES::SIGNS.sample(random: rng), **size }
    else SETTINGS.to_a.sample(random: rng).then { |prop, settings| { prop: prop, settings: settings, **size } }
    end
  end

  def random_line(kind, rng)
    count = 2 + rng.rand(20)
    press = kind == 'stroke' && rng.rand(2).zero? ? { press: Array.new(count) { rng.rand.round(2) } } : {}
    { width: 4, points: Array.new(2 * count) { (rng.rand * 300 - 150).round(1) }, **press }
  end
end
