# frozen_string_literal: true

module Bench
  # Deals rooms, in CPU seconds of plain Ruby, each beside a random and a greedy deal and the bound by counting pairs. What was dealt is
  # written to `var/bench/deal.json`, so that it can be checked by other means.
  class Deal < Measure
    G = Veranda::Core::Groups

    # people × size × rounds, steps, the time that is wished.
    WHOLE = [[9, 3, 4, '0.2 s, aim 20 ms'], [12, 3, 4, '0.2 s, aim 20 ms'], [16, 4, 5, '0.2 s, aim 20 ms'], [20, 4, 5, '0.2 s, aim 20 ms'],
             [15, 3, 7, '1 s, aim 50 ms'], [24, 4, 6, '2 s, aim 0.5 s'], [30, 5, 5, '2 s, aim 0.5 s'], [32, 4, 8, '0.2 s'],
             [32, 4, 10, '≤ 16 in 2 s, aim none']].freeze
    # people × size, and what is wished of repeats.
    LESSONS = [[12, 2, '1.01 × bound'], [12, 3, '1.01 × bound'], [12, 4, '1.01 × bound'], [12, 6, '1.01 × bound'],
               [20, 4, '1.01 × bound'], [20, 5, '1.01 × bound'], [30, 5, '1.01 × bound'], [20, 3, '1.15, aim 1.08 × bound'],
               [30, 3, '≤ 1, aim 0'], [30, 4, '1.55, aim 1.4 × bound'], [60, 3, 'none'], [60, 4, 'none'], [60, 5, '≤ 20, aim 14']].freeze
    ROUNDS = 12
    ABSENT = 0.1
    SEEDS = [1, 2, 3, 4].freeze
    FILE = 'var/bench/deal.json'

    def run
      @instances = []
      WHOLE.each { |people, size, rounds, target| whole(people, size, rounds, target) }
      LESSONS.each { |people, size, target| lessons(people, size, target) }
      many
      wishes
      contradiction
      lessons(30, 5, 'all wishes met, 1.2, aim 1.1 × bound', wished: together_and_apart)
      write
    end

    private

    def whole(count, size, rounds, target)
      plan, ms = timed { G::CoursePlan.call(count: count, size: size, rounds: rounds, seed: 1, steps: 300_000) }
      named = plan.map { |rooms| rooms.map { |room| room.map { |one| name(one) } } }
      keep("#{count}x#{size}x#{rounds}", names(count), named)
      label = "course #{count} × #{size} × #{rounds}"
      Report.line("#{label}, pairs again", repeats(named), 'pairs', baseline: repeats(random_course(count, named)), target: target)
      Report.line("#{label}, time", ms, 'ms CPU')
    end

    def lessons(count, size, target, wished: [])
      runs = SEEDS.map { |seed| course(count, size, seed, wished) }
      label = "12 lessons #{count} × #{size}#{' with wishes' if wished.any?}"
      bound = mean(runs.map { |run| run[:bound] })
      puts format('%-34s %12s %-12s bound %.1f, greedy %.1f, random %.1f, ratio to bound %s, %.1f ms CPU a deal   %s',
                  label, format('%.2f', mean(runs.map { |run| run[:again] })), 'pairs again', bound, mean(runs.map { |run| run[:greedy] }),
                  mean(runs.map { |run| run[:random] }), bound.positive? ? format('%.3f', mean(runs.map { |run| run[:again] }) / bound) : 'none',
                  mean(runs.map { |run| run[:ms] }), target)
      $stdout.flush
    end

    def course(count, size, seed, wished)
      rng = Random.new(seed)
      # A tenth of them, whoever it is.
      there = Array.new(ROUNDS) { names(count).shuffle(random: rng).drop((count * ABSENT).round).sort }
      sizes = there.map { |here| G::Sizes.of_size(here.length, size) }
      rounds, ms = timed { one_by_one(there) { |here, i, met| dealt(here, sizes[i], met, seed, wished, count) } }
      keep("12 lessons #{count}x#{size} seed #{seed}#{' wishes' if wished.any?}", names(count), rounds,
           absent: there.map { |here| names(count) - here }, wishes: wished)
      greedy = one_by_one(there) { |here, i, met| greedy(here, sizes[i], met, rng) }
      { again: repeats(rounds), greedy: repeats(greedy), random: repeats(there.each_with_index.map { |here, i| random(here, sizes[i], rng) }),
        bound: [sizes.flatten.sum { |n| n * (n - 1) / 2 } - (count * (count - 1) / 2), 0].max, ms: ms / ROUNDS }
    end

    def one_by_one(there)
      there.each_with_index.with_object([]) { |(here, i), rounds| rounds << yield(here, i, rounds) }
    end

    def dealt(here, sizes, rounds, seed, wished, count)
      G::Deal.new(people: here, sizes: sizes, meetings: G::Meetings.new(rounds), wishes: wished, seed: seed, roster: names(count)).call.rooms
    end

    def greedy(here, sizes, rounds, rng)
      weights = G::Meetings.new(rounds).weights(here)
      G::Greedy.call(weights, Array.new(here.length, 1), sizes, rng: rng).map { |room| room.map { |i| here[i] } }
    end

    def random(here, sizes, rng)
      left = here.shuffle(random: rng)
      sizes.map { |size| left.shift(size) }
    end

    def random_course(count, rounds) = rounds.map { |rooms| random(names(count), rooms.map(&:length), Random.new(1)) }

    def many
      rng = Random.new(1)
      sizes = [10] * 50
      earlier = Array.new(11) { random(names(500), sizes, rng) }
      deal, ms = timed do
        G::Deal.new(people: names(500), sizes: sizes, meetings: G::Meetings.new(earlier), seed: 1, steps: 600_000).call
      end
      keep('500 people, 50 rooms, after 11 rounds', names(500), [*earlier, deal.rooms])
      again = G::Meetings.new(earlier)
      baseline = random(names(500), sizes, rng).sum { |room| room.combination(2).count { |one, other| again.times(one, other).positive? } }
      Report.line('500 in 50 rooms, pairs again', deal.again.length, 'pairs', baseline: baseline, target: 'none in 0.5 s, aim 0.1 s')
      Report.line('500 in 50 rooms, time', ms, 'ms CPU')
    end

    def wishes
      deal, ms = timed { G::Deal.new(people: names(30), sizes: [5] * 6, wishes: together_and_apart, seed: 1, steps: 15_000).call }
      keep('30 people, 6 rooms, 8 together, 12 apart', names(30), [deal.rooms], wishes: together_and_apart)
      Report.line('8 together, 12 apart, not met', deal.given_up.length, 'wishes', target: 'none in 50 ms, aim 10')
      Report.line('8 together, 12 apart, time', ms, 'ms CPU')
    end

    def contradiction
      clique = names(7).combination(2).map { |two| G::Wish.from(kind: 'apart', people: two) }
      wished = (clique + together_and_apart(from: 10)).shuffle(random: Random.new(1))
      found, ms = timed { G::Contradiction.new(names(30), [5] * 6, rng: Random.new(1)).smallest(wished) }
      Report.line('contradiction, wishes named', found.length, 'wishes', baseline: 21, target: 'the smallest set, in 200 ms, aim 30')
      Report.line('contradiction, time', ms, 'ms CPU')
    end

    def together_and_apart(from: 0)
      rng = Random.new(7)
      people = names(30).drop(from)
      pairs = people.shuffle(random: rng).each_slice(2).first(8)
      apart = people.combination(2).to_a.shuffle(random: rng).reject { |two| pairs.any? { |pair| (pair & two).length == 2 } }.first(12)
      pairs.map { |two| G::Wish.from(kind: 'together', people: two) } + apart.map { |two| G::Wish.from(kind: 'apart', people: two) }
    end

    def repeats(rounds)
      rounds.flatten(1).flat_map { |room| room.sort.combination(2).to_a }.tally.values.sum { |times| times - 1 }
    end

    def names(count) = Array.new(count) { |one| name(one) }
    def name(number) = format('p%03d', number)
    def mean(values) = values.sum / values.length.to_f

    def keep(name, people, rounds, absent: nil, wishes: [])
      of = ->(kind) { wishes.select { |wish| wish.kind == kind }.map(&:people) }
      @instances << { name: name, people: people, rounds: rounds, together: of['together'], apart: of['apart'],
                      absent: absent || rounds.map { [] } }
    end

    def write
      FileUtils.mkdir_p(File.dirname(FILE))
      File.write(FILE, JSON.pretty_generate(instances: @instances))
      puts "What was dealt is in #{FILE}."
    end
  end
end
