# frozen_string_literal: true

module Bench
  # What polls come to, in CPU time of plain Ruby: 2,000 short answers put together, beside comparing each with each; and the tallies of a
  # set of 50 polls that 300 people answered. Then 300 people answer within 5 s over real sockets, with names and without.
  class Polls < Measure
    P = Veranda::Core::Polls
    WORDS = %w[vessel starboard port channel bearing compass buoy anchor signal whistle fog light tide current harbour pilot lookout crossing
               overtaking narrow].freeze
    ANSWERS = 2_000
    POLLS = 50
    PEOPLE = 300
    # In which they answer.
    SECONDS = 5

    def run
      @rng = Random.new(1)
      short
      set
      [true, false].each { |names| live(names) }
    end

    private

    # Every answer acknowledged and counted once, and what staff are sent meanwhile; beside a sender that sends as much after every answer.
    def live(names)
      what = names ? 'with names' : 'without names'
      server = @server.new
      klass = BusyClass.open(@archive)
      found = crowd_of(server, klass, names)
      Report.line("answers #{what}, acknowledged", found[:acknowledged], 'answers', target: (PEOPLE * 1.1).round.to_s)
      Report.line('… counted', counted(klass, names), 'people', target: PEOPLE.to_s)
      Report.line('… acknowledged p99', found[:p99], 'ms', target: '≤ 100')
      Report.line('… results sent to staff', found[:results] / SECONDS.to_f, 'per s', target: '≤ 4')
      Report.line('… bytes of them', found[:bytes] / SECONDS, 'per s', baseline: found[:largest] * found[:acknowledged] / SECONDS)
    ensure
      server&.stop
    end

    def crowd_of(server, klass, names)
      question = { **question('one'), right: { options: ['o1'] }, names: names }
      @crowd.run(script: 'polls.cjs', url: "ws://127.0.0.1:#{server.port}/live", origin: server.address, cookies: @crowd.cookies(PEOPLE, klass.lesson),
                 staff: @crowd.cookie('odalys'), hello: { t: 'hello', v: Veranda::Live::Protocol::VERSION, sitting: klass.sitting },
                 sitting: klass.sitting, poll: 'bench', question: question, options: question[:options].map { |one| one[:id] }, seconds: SECONDS)
    end

    def counted(klass, names)
      return @archive.log.ballots.of("poll/#{klass.sitting}.bench")[1].length unless names

      @archive.log.state("answers/#{klass.sitting}.bench").first.count(1)
    end

    def short
      texts = answers
      groups, ms = timed { P::Likeness.new(texts).groups }
      _, naive = timed { each_with_each(texts.map { |text| P::Likeness.key(text) }.uniq) }
      Report.line("#{ANSWERS} short answers grouped", ms, 'ms CPU', baseline: naive, target: '≤ 200 ms')
      Report.line('… different ones, groups', texts.uniq.length, 'texts', baseline: groups.length)
    end

    # As people write: some of 300 answers, half of them with a slip.
    def answers
      meant = Array.new(300) { Array.new(1 + @rng.rand(4)) { WORDS.sample(random: @rng) }.join(' ') }
      Array.new(ANSWERS) { meant.sample(random: @rng).then { |text| @rng.rand(2).zero? ? text : slip(text) } }
    end

    def slip(text)
      at = @rng.rand(text.length)
      before, letter, after = text[0, at], text[at], text[(at + 1)..]
      [before + after, "#{before}x#{letter}#{after}", "#{before}#{after[0]}#{letter}#{after[1..]}"].sample(random: @rng)
    end

    def each_with_each(keys)
      points = keys.map(&:codepoints)
      points.combination(2).count { |one, other| P::Slips.between(one, other, P::Slips.allowed([one.length, other.length].min)) }
    end

    def set
      polls = Array.new(POLLS) { |i| P::Question::KINDS[i % P::Question::KINDS.length] }.map { |kind| question(kind) }
      given = polls.map { |question| Array.new(PEOPLE) { answer(question) } }
      _, ms = timed { polls.zip(given).each { |question, some| P::Tally.new(question, some).to_h } }
      Report.line("tallies, #{POLLS} polls × #{PEOPLE} people", ms, 'ms CPU', target: '≤ 300 ms')
    end

    def question(kind)
      options = Array.new(8) { |i| { id: "o#{i}", text: "Option #{i}" } }
      { kind: kind, text: 'What then?', options: options, right: { options: ['o1'], words: ['fog'], number: 3, area: { x: 0, y: 0, w: 9, h: 9 } } }
    end

    def answer(question)
      ids = question[:options].map { |option| option[:id] }
      case question[:kind]
      when 'one' then [ids.sample(random: @rng)]
      when 'several' then ids.sample(3, random: @rng)
      when 'order' then ids.shuffle(random: @rng)
      when 'yes_no' then [%w[yes no].sample(random: @rng)]
      when 'short' then slip(WORDS.sample(random: @rng))
      when 'cloud' then WORDS.sample(2, random: @rng)
      when 'scale' then 1 + @rng.rand(5)
      when 'number' then @rng.rand * 100
      else [@rng.rand * 1_600, @rng.rand * 1_000]
      end
    end
  end
end
