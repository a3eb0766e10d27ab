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

  # One stream with what has happened on it.
  class Track
    attr_reader :name, :state, :entries
    attr_accessor :clock, :outside

    def initialize(name, sitting: nil)
      @name = name
      @state = Core::Streams::Fold.start(name)
      @sitting = sitting
      @entries = []
      @clock = 1_000_000
    end

    # @return [Core::Streams::Entry, nil]
    def do(by, wire_name, input = {}, at: @clock += 1_000)
      sitting = @name.start_with?('sitting') ? @state : @sitting&.state
      scene = Core::Scene.new(state: @state, sitting: sitting, by: by, at: at, rng: Random.new(@entries.length),
                              outside: outside, earlier: ->(seq) { Core::Streams::Fold.over(@name, copies.take(seq)) })
      kind, body = Core::Commands.decide(wire_name, JSON.parse(JSON.generate(input)), scene)
      kind && append(by.id, kind, body, at)
    end

    # What the state would be, folded afresh from what JSON keeps of the entries.
    def refolded
      Core::Streams::Fold.over(@name, copies)
    end

    # The state after a snapshot was written and read back.
    def restored = Core::Streams::Fold.restore(@name, through_json(@state.to_h))

    private

    def copies = @entries.map { |entry| entry.dup.tap { |copy| copy.body = through_json(copy.body) } }

    def append(actor, kind, body, at)
      entry = Core::Streams::Entry.new(stream: @name, seq: @entries.length + 1, at: at, actor: actor, kind: kind,
                                       body: through_json(body), command_id: "c#{@entries.length}")
      @entries << entry
      @state.apply(entry)
      entry
    end

    def through_json(value) = JSON.parse(JSON.generate(value), symbolize_names: true)
  end

  def board(sitting: nil) = Track.new('board/b1', sitting: sitting)

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
    track = Track.new('sitting/s1')
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
