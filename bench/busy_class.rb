# frozen_string_literal: true

module Bench
  # A class with a past: opened some time ago, and as much happened as the measure asks for.
  # What happens is a mix as lessons have it: strokes, texts, pointer trails, posts, corrections,
  # hands, a page cleared at each step.
  class BusyClass
    MINUTE = 60_000
    STEPS = 6

    attr_reader :lesson, :sitting, :board

    # @return [BusyClass] whose doors are open and whose board is on show
    def self.open(archive) = new(archive, began: now - MINUTE).tap(&:begin)

    def self.now = (Time.now.to_f * 1000).round

    # @param began [Integer] ms since the epoch; not earlier than now, since nothing comes before what was stored last
    def initialize(archive, began:)
      @archive = archive
      @began = began
      @rng = Random.new(7)
      @count = 0
      @performer = Veranda::Deciding::Performer.new(archive.log, rng: @rng) { |entry| keep_snapshot(entry.stream) }
      @people = Array.new(14) { |i| Veranda::Core::Person.new(id: archive.people.add("Busy #{i + 1}"), name: "Busy #{i + 1}", role: 'student') }
      @staff = Veranda::Core::Person.new(id: 'odalys', name: 'Odalys Brandt', role: 'instructor')
      make
    end

    def begin
      act(@staff, 'class.open', @stream)
      act(@staff, 'class.move', @stream, step: 'step0')
    end

    # Lets so many entries happen over so many minutes, at even distances.
    def live_through(entries, minutes)
      self.begin
      @people.each { |person| act(person, 'class.join', @stream) }
      entries.times do |i|
        @at = @began + (i + 1) * minutes * MINUTE / (entries + 1)
        (i % (entries / STEPS)).zero? && i.positive? ? next_step(i / (entries / STEPS)) : happen
      end
    end

    # As many marks on each board as one takes, but for what is still to happen.
    def fill_boards
      @full = true
      marks = Array.new(Veranda::Core::Boards::Board::MAX_MARKS - 500) do |i|
        { id: "full#{i}", page: 'p1', kind: 'stroke', x: @rng.rand(1500), y: @rng.rand(900), ink: 'lake', width: 4, points: stroke, by: @staff.id, at: @at, z: i }
      end
      facts = { pages: [{ page: 'p1' }], marks: marks, authors: [{ id: @staff.id, name: @staff.name }] }
      @boards.each { |board| @archive.lessons.fill(board.delete_prefix('board/'), facts, @at) }
    end

    def finish = act(@staff, 'class.end', @stream)

    private

    def make
      steps = Array.new(STEPS) { |i| { id: "step#{i}", title: "Step #{i + 1}", minutes: 15, shortest: 5, notes: '', board: nil } }
      @lesson = @archive.lessons.create(course_id: 'navigation', title: 'A busy class', minutes: 90,
                                        starts_at: Time.at(@began / 1000), steps: steps)
      boards = Array.new(STEPS) { |i| @archive.lessons.add_board(@lesson, name: "Board #{i + 1}") }
      steps.each_with_index { |step, i| step[:board] = boards[i] }
      @archive.lessons.lay(@lesson, steps: steps)
      @boards = boards.map { |id| "board/#{id}" }
      @board = @boards.first
      @sitting = Veranda::Preparing::Classes.new(@archive).ready(@archive.lessons.fetch(@lesson))
      @stream = "sitting/#{@sitting}"
      @room = "place/#{@sitting}.main"
      @at = @began
    end

    def act(person, wire_name, stream, **input)
      order = Veranda::Deciding::Order.of(wire_name, JSON.parse(JSON.generate(input)), stream: stream, by: person, sitting: @sitting,
                                                                                       id: "b#{@count += 1}")
      @performer.perform([order], at: @at).first.refusal
    end

    # As a worker does for a class that goes on.
    def keep_snapshot(stream)
      copy = @performer.copy(stream)
      due = @archive.log.snapshots.due(copy) or return
      copy.kept = due
      @archive.log.snapshots.keep(stream, due, copy.at, copy.state)
    end

    # The board of the step before is tidied, unless it is to stay full, and the class goes on to the next.
    def next_step(number)
      act(@staff, 'board.clear', @board, page: 'p1') unless @full
      act(@staff, 'class.move', @stream, step: "step#{number % STEPS}")
      @board = @boards[number % STEPS]
    end

    def happen
      person = @rng.rand(3).zero? ? @staff : @people.sample(random: @rng)
      case @rng.rand(100)
      when 0...34 then put(person, kind: 'stroke', width: 4, took: 700, points: stroke)
      when 34...38 then put(person, kind: 'text', size: 28, w: 300, text: 'steady bearing')
      when 38...72 then act(@staff, 'board.point', @board, page: 'p1', path: Array.new(10) do |i|
        [i * 100, @rng.rand(1600), @rng.rand(1000)]
      end.flatten)
      when 72...80 then act(person, 'exchange.post', "exchange/#{@sitting}.main", id: "p#{@count}",
                                                                                  text: 'I think Red gives way here, because of the bearing.')
      when 80...90 then act(person, 'board.undo', @board)
      when 90...95 then act(person, 'class.raise_hand', @room)
      else act(@staff, 'class.lower_hand', @room, person: person.id)
      end
    end

    def put(person, **mark)
      act(person, 'board.put', @board,
          marks: [{ id: "m#{@count}", page: 'p1', x: @rng.rand(1500), y: @rng.rand(900), ink: 'lake', **mark }])
    end

    def stroke = (0..24).flat_map { |i| [(i * 7 + @rng.rand * 3).round(1), (Math.sin(i / 3.0) * 40 + @rng.rand * 3).round(1)] }
  end
end
