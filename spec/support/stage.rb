# frozen_string_literal: true

# A stage for the core's rules: people, a stream, and commands carried out on it at times that are given.
module Stage
  Core = Veranda::Core

  PEOPLE = {
    odalys: ['Odalys Brandt', 'instructor'], tomas: ['Tomas Ferrand', 'assistant'], farah: ['Farah Lindqvist', 'student'],
    jonas: ['Jonas Whitlock', 'student'], oona: ['Oona Teague', 'guest']
  }.freeze

  def person(id)
    name, role = PEOPLE.fetch(id)
    Core::Person.new(id: id.to_s, name: name, role: role)
  end

  # All streams there are, with what has happened on them: commands are carried out as a server would, but in memory.
  class World
    # @param sitting_id [String, nil] the class that commands on boards happen in
    def initialize(sitting_id: nil)
      @sitting_id = sitting_id
      @ballots = []
      @entries = Hash.new { |hash, name| hash[name] = [] }
      @states = Hash.new { |hash, name| hash[name] = Core::Streams::Fold.start(name) }
    end

    # Answers without names, of which nothing is stored in a stream.
    attr_reader :ballots
    attr_reader :sitting_id

    def entries(name) = @entries[name]
    def state(name) = @states[name]

    # @return [Array<Core::Streams::Entry>] what was stored
    def perform(by, wire_name, input, on:, at:, outside: nil)
      sitting_id = Core::Streams::StreamName.sitting_id(on) || (@sitting_id unless outside)
      command = nil
      drafts = Core::Commands.decide(wire_name, JSON.parse(JSON.generate(input))) do |found, checked|
        command = found
        @concern = Core::Streams::Concern.new(on, sitting_id: sitting_id, by: by.id, input: checked)
        scene(on, by, at, outside)
      end
      ballots, drafts = drafts.partition { |one| one.is_a?(Core::Polls::Ballot) }
      @ballots.concat(ballots)
      undeclared = drafts.map(&:stream) - command.writes(@concern)
      raise "#{wire_name} did not declare #{undeclared}" if undeclared.any?

      drafts.map { |draft| append(draft, by.id, at) }
    end

    # What is in a stream without having been asked for.
    def append(draft, actor, at)
      own = @entries[draft.stream]
      entry = Core::Streams::Entry.new(stream: draft.stream, seq: own.length + 1, at: at, actor: actor, kind: draft.kind,
                                       body: through_json(draft.body), command_id: "c#{own.length}")
      own << entry
      @states[draft.stream].apply(entry)
      entry
    end

    # What the state would be, folded afresh from what JSON keeps of the entries.
    def refolded(name, upto: nil) = Core::Streams::Fold.over(name, copies(name).take(upto || @entries[name].length))

    # The state after a snapshot was written and read back.
    def restored(name) = Core::Streams::Fold.restore(name, through_json(state(name).to_h))

    private

    def scene(name, by, at, outside)
      Core::Scene.new(@concern, by: by, at: at, rng: Random.new(@entries[name].length), outside: outside,
                                earlier: ->(seq) { refolded(name, upto: seq) }) { |stream| @states[stream] }
    end

    def copies(name) = @entries[name].map { |entry| entry.dup.tap { |copy| copy.body = through_json(copy.body) } }
    def through_json(value) = JSON.parse(JSON.generate(value), symbolize_names: true)
  end

  # One stream of a world.
  class Track
    attr_reader :name, :world
    attr_accessor :clock, :outside

    def initialize(name, world)
      @name = name
      @world = world
      @clock = 1_000_000
    end

    def state = @world.state(@name)
    def entries = @world.entries(@name)
    def refolded = @world.refolded(@name)
    def restored = @world.restored(@name)

    # The main room, the staff's facts and what was written, of a class.
    def place(id = 'main') = @world.state("place/#{@world.sitting_id}.#{id}")
    def staff = @world.state("staff/#{@world.sitting_id}")
    def own(person) = @world.state("own/#{@world.sitting_id}.#{person}")

    # Carries out a command on this stream, or on that of its class where it belongs.
    # @return [Core::Streams::Entry, nil] the first entry that came of it
    def do(by, wire_name, input = {}, at: @clock += 1_000, on: home(wire_name))
      @world.perform(by, wire_name, input, on: on, at: at, outside: outside).first
    end

    private

    def home(wire_name)
      kind = Core::Commands.fetch(wire_name).stream_kind
      return @name if Core::Streams::StreamName.kind(@name) == kind

      { sitting: "sitting/#{@world.sitting_id}", staff: "staff/#{@world.sitting_id}", place: "place/#{@world.sitting_id}.main",
        exchange: "exchange/#{@world.sitting_id}.main", questions: "questions/#{@world.sitting_id}",
        poll: "poll/#{@world.sitting_id}.p", answers: "answers/#{@world.sitting_id}.p" }.fetch(kind)
    end
  end

  # @param sitting [Track, nil] of the class that it is drawn on in
  def board(sitting: nil) = Track.new('board/b1', sitting&.world || World.new)

  PLAN = {
    id: 's1', title: 'Collision rules', course: 'Navigation', starts_at: 1_000_000, minutes: 60,
    steps: [{ id: 'names', title: 'Names', minutes: 10, shortest: 5, board: 'b1' },
            { id: 'crossing', title: 'Crossing', minutes: 30, shortest: 20, board: 'b2' },
            { id: 'sum-up', title: 'Sum up', minutes: 20, shortest: 5, board: nil,
              cues: [{ id: 'fog', kind: 'timer', seconds: 60, label: 'Fog drill' }, { id: 'look', kind: 'show', board: 'b2' },
                     { id: 'rec', kind: 'record' }] }],
    boards: [{ id: 'b1', name: 'Names', audience: 'everyone' }, { id: 'b2', name: 'Crossing', audience: 'everyone' },
             { id: 'b3', name: 'Answers', audience: 'staff' }],
    record_from: 'crossing', rehearsal: false
  }.freeze

  # A class that has been planned; with `open: true` its doors are open and two students are in.
  def sitting(open: true, **changes)
    track = Track.new('sitting/s1', World.new(sitting_id: 's1'))
    track.do(person(:odalys), 'class.plan', PLAN.merge(changes), at: 900_000)
    track.do(person(:odalys), 'class.join', at: 910_000)
    return track unless open

    track.do(person(:odalys), 'class.open', at: 920_000)
    %i[farah jonas].each { |id| track.do(person(id), 'class.join', at: 930_000) }
    track
  end

  def prop(id, kind, **settings)
    { id: id, page: 'p1', kind: 'prop', prop: kind, settings: settings, x: 100, y: 100, w: 200, h: 100, ink: 'slate' }
  end

  def box(id, x, y, w = 100, h = 60, **more)
    { id: id, page: 'p1', kind: 'rectangle', x: x, y: y, w: w, h: h, width: 3, ink: 'lake', **more }
  end

  def text(id, words, x: 100, y: 100, **more)
    { id: id, page: 'p1', kind: 'text', x: x, y: y, w: 300, size: 32, ink: 'slate', text: words, **more }
  end

  def stroke(id, **fields)
    { id: id, page: 'p1', kind: 'stroke', x: 10, y: 20, ink: 'lake', width: 4, points: [0, 0, 30, 5, 60, -5] }.merge(fields)
  end

  def note(id, text = 'Give way', **fields)
    { id: id, page: 'p1', kind: 'note', x: 100, y: 200, ink: 'umber', text: text, size: 26, w: 300, h: 80 }.merge(fields)
  end

  # Expects a block to be refused with a code.
  def refusing(code)
    raise_error(Core::Refusal) do |refusal|
      expect(refusal.code).to eq(code)
      expect(refusal.says).to match(/\A[A-Z“].*[.?]\z/m)
    end
  end
end
