# frozen_string_literal: true

require_relative '../spec_helper'

# Random histories of one class on two server processes: whatever is written or drawn carries a word of its own, and a reckoning made
# here, of who may know which word when, is held against all that reached each person.
RSpec.describe 'Who hears what' do
  # Who stands where, and what has been written on which stream, as the design has it.
  class Reckoning
    STAFF = %w[odalys tomas].freeze
    STUDENTS = %w[farah jonas nils hana].freeze

    attr_reader :allowed, :outside, :oversight

    def initialize(boards)
      @standing = STUDENTS.to_h { |who| [who, :in] }
      @boards = boards.to_h { |board| [board, 'everyone'] }
      @threads = {}
      @copies = {}
      @words = Hash.new { |hash, stream| hash[stream] = [] }
      @allowed = (STAFF + STUDENTS).to_h { |who| [who, []] }
      @outside = STUDENTS.to_h { |who| [who, []] }
      @oversight = false
      @rooms = {}
    end

    # While rooms are open each is in theirs; what is said there stays there, unless staff may read along, and its board goes to who sat
    # in it.
    attr_reader :rooms

    def open_rooms(rooms, doors:)
      @rooms = rooms
      @overhear = doors ? STAFF : []
    end

    def close_rooms
      @rooms.each { |room, facts| (@sat ||= {})[facts[:board]] = facts[:people] if room }
      @rooms = {}
    end

    def room_of(who) = @rooms.find { |_, facts| facts[:people].include?(who) }&.first
    def in_main = self.in.reject { |who| room_of(who) }
    def room_streams(who) = @overhear.to_a.include?(who) ? @rooms.values.map { |facts| facts[:words] } : [@rooms[room_of(who)]&.fetch(:words)].compact
    def room_boards(who) = [@rooms[room_of(who)]&.fetch(:board)].compact

    def in = STUDENTS.select { |who| @standing[who] == :in }
    def away = @standing.reject { |_, standing| standing == :in }
    def stand(who, standing) = @standing[who] = standing
    def oversee(on) = @oversight = on
    def open(board, audience) = @boards[board] = audience
    def begin_thread(id, people, staff) = @threads[id] = people | (staff || @oversight ? STAFF : [])
    def threads_of(who) = @threads.select { |_, people| people.include?(who) }.keys
    def boards_of(who) = @boards.select { |_, audience| opens?(audience, who) }.keys + @copies.select { |_, owner| owner == who }.keys
    def opens?(audience, who) = STAFF.include?(who) || audience == 'everyone' || audience.include?(who)
    def open_boards = @boards.select { |_, audience| audience == 'everyone' }.keys
    def copy(stream, owner) = @copies[stream] = owner
    def copied?(of) = (@copied ||= []).include?(of) || !(@copied << of)

    def readers(stream)
      there = STAFF + self.in
      room = @rooms.values.find { |facts| [facts[:board], facts[:words]].include?(stream) }
      # Staff are told of a room's board when they step in.
      return (stream == room[:board] ? [] : @overhear) + (room[:people] & there) if room
      return @sat[stream] & there if (@sat ||= {}).key?(stream)
      return STAFF if stream.match?(%r{\Aexchange/[^.]+\.(?!main)})
      return STAFF + in_main if stream.start_with?('exchange/')

      case stream
      when /\Athread/ then @threads.fetch(stream) & there
      when /\Aboard/ then @copies.key?(stream) ? there & [@copies[stream]] : there.select { |who| opens?(@boards[stream], who) }
      else there
      end
    end

    def written(stream, word) = @words[stream] << word

    # Everyone may know what is on the streams that they read now.
    def settle
      @words.each { |stream, words| readers(stream).each { |who| @allowed[who] |= words } }
      STUDENTS.each { |who| @outside[who] |= by_lesson_door(who) }
    end

    # By its address, and by the lesson's door, a board is open to the course as well; to nobody whom the class has turned out.
    def by_address(who)
      return [] if @standing.fetch(who, :in) != :in

      @boards.select { |_, audience| opens?(audience, who) }.keys + @copies.select { |_, owner| STAFF.include?(who) || owner.include?(who) }.keys
    end

    def by_lesson_door(who) = @words.values_at(*(by_address(who) & @words.keys)).flatten
    def every_board = @boards.keys + @copies.keys

    def now(who) = @words.select { |stream, _| readers(stream).include?(who) }.values.flatten
  end

  let(:made) { fresh_class }
  let(:servers) { Array.new(2) { Server.new } }
  let(:ids) { { sitting: "sitting/#{made[:sitting]}", staff: "staff/#{made[:sitting]}", room: "place/#{made[:sitting]}.main", words: "exchange/#{made[:sitting]}.main" } }
  let(:all) { Reckoning::STAFF + Reckoning::STUDENTS }

  def next_word = "word#{@words_made = (@words_made || 0) + 1}end"

  def join(who, index = all.index(who)) = @wires[who] = Wire.join(servers[index % 2], who, { sitting: made[:sitting] }).tap { |wire| (@heard[who] ||= []) << wire }

  def act(dice, who, stream, verb, input)
    answer = @wires[who].give(verb, stream, input)
    expect(answer['t']).to eq('done'), "#{verb} of #{who}: #{answer}"
    dice
  end

  def step(dice, reckoning)
    staff, student = Reckoning::STAFF.sample(random: dice), reckoning.in.sample(random: dice)
    speaker = [staff, *student].sample(random: dice)
    case dice.rand(19)
    when 0..2 then say(dice, reckoning, speaker)
    when 3..4 then draw(dice, reckoning, speaker)
    when 5 then whisper(dice, reckoning, speaker)
    when 6..7 then whisper_on(dice, reckoning, speaker)
    when 8 then turn(dice, reckoning, staff, student)
    when 9 then let_in(dice, reckoning, staff)
    when 10 then act(dice, staff, ids[:room], 'class.set_exchange', { oversight: reckoning.oversee(!reckoning.oversight) })
    when 11 then hand_out(dice, reckoning, staff)
    when 12 then peek(dice, student)
    when 13..14 then fetch(dice, reckoning)
    when 15 then rooms(dice, reckoning, staff)
    when 16..17 then in_room(dice, reckoning)
    else open_board(dice, reckoning)
    end
  end

  # People are dealt into two rooms; or all are brought back, which needs the clock and therefore a moment.
  def rooms(dice, reckoning, staff)
    return bring_back(dice, reckoning, staff) if reckoning.rooms.any?
    return if reckoning.in.length < 4

    visitor = (@visitor ||= VisitorClient.new(servers.first, as: 'odalys'))
    answer = visitor.post("/api/classes/#{made[:sitting]}/rooms", { name: 'Rooms', plan: { by: 'rooms', number: 2, grace: 0, open_doors: (@doors = dice.rand(2).zero?) } })
    return if answer.body['code'] == 'too_many_activities'

    @activity = answer.body['activity']
    expect(visitor.post("/api/classes/#{made[:sitting]}/rooms/#{@activity}/open").status).to eq(200)
    opened = ARCHIVE.log.state(ids[:staff]).first.activities[@activity][:rooms].to_h do |room|
      [room[:id], { people: room[:people], board: "board/#{room[:boards].first[:id]}", words: "exchange/#{made[:sitting]}.#{room[:id]}" }]
    end
    opened.each_value do |facts|
      facts[:people].each { |who| gained(who, facts[:board]) }
      Reckoning::STAFF.each { |who| told_of(who, facts[:words]) } if @doors
    end
    reckoning.open_rooms(opened, doors: @doors)
  end

  def bring_back(dice, reckoning, staff)
    act(dice, staff, ids[:staff], 'rooms.time', { activity: @activity, rooms: reckoning.rooms.keys, left: 0, grace: 0 })
    reckoning.in.each do |who|
      next unless reckoning.room_of(who)

      @wires[who].wait do |message|
        message['t'] == 'entry' && message['kind'] == 'room_kept' && message['body']['activity'] == @activity
      end
    end
    told = @doors ? Reckoning::STAFF : []
    reckoning.rooms.each_value { |facts| told.each { |who| @wires[who].wait { |message| message['t'] == 'lost' && message['stream'] == facts[:words] } } }
    people = reckoning.rooms.values.flat_map { |facts| facts[:people] }
    reckoning.close_rooms
    people.each { |who| @wires[who].wait { |message| message['t'] == 'gained' && message['stream'] == ids[:words] && message['head'] >= 0 && back?(who) } }
  end

  def back?(who) = ARCHIVE.log.state("own/#{made[:sitting]}.#{who}").first.place == 'main'
  def gained(who, stream) = @wires[who].wait { |message| message['t'] == 'gained' && message['stream'] == stream }

  # Somebody says or draws something in their room; and tries the other one, which is refused.
  def in_room(dice, reckoning)
    who = reckoning.in.select { |one| reckoning.room_of(one) }.sample(random: dice) or return
    other = reckoning.rooms.except(reckoning.room_of(who)).values.first
    word = next_word
    if dice.rand(2).zero?
      stream = reckoning.room_boards(who).first
      act(dice, who, stream, 'board.put', { marks: [text(word, word)] })
    else
      stream = reckoning.room_streams(who).first
      act(dice, who, stream, 'exchange.post', { id: word, text: word })
    end
    reckoning.written(stream, word)
    return unless other

    expect(@wires[who].give('board.put', other[:board], { marks: [text('no', 'no')] })).to include('code' => 'no_access')
    expect(@wires[who].give('exchange.post', other[:words], { id: 'no', text: 'no' })).to include('code' => 'no_access')
    @wires[who].say(t: 'follow', streams: [other[:board], other[:words]])
    visitor = (@visitors ||= Hash.new { |known, name| known[name] = VisitorClient.new(servers[all.index(name) % 2], as: name) })[who]
    expect(visitor.get("/api/boards/#{other[:board].delete_prefix('board/')}/p1.svg").status).to be >= 403
  end

  def say(dice, reckoning, who)
    return if reckoning.room_of(who)

    spoken = next_word
    act(dice, who, ids[:words], 'exchange.post', { id: spoken, text: spoken })
    reckoning.written(ids[:words], spoken)
  end

  def draw(dice, reckoning, who)
    board = reckoning.boards_of(who).sample(random: dice) or return
    drawn = next_word
    act(dice, who, board, 'board.put', { marks: [text(drawn, drawn)] })
    reckoning.written(board, drawn)
  end

  def whisper(dice, reckoning, who)
    return if reckoning.rooms.any?

    people = (Reckoning::STAFF + reckoning.in - [who]).sample(dice.rand(3), random: dice)
    staff = people.empty? || dice.rand(4).zero?
    id, said = "t#{dice.rand(10**9)}", next_word
    act(dice, who, ids[:words], 'exchange.begin_thread', { id: id, people: people, staff: staff, post: { id: said, text: said } })
    stream = "thread/#{made[:sitting]}.#{id}"
    reckoning.begin_thread(stream, [who, *people], staff)
    reckoning.written(stream, said)
  end

  def whisper_on(dice, reckoning, who)
    stream = reckoning.threads_of(who).select { |thread| reckoning.readers(thread).length > 1 }.sample(random: dice) or return
    told_of(who, stream)
    said = next_word
    act(dice, who, stream, 'thread.post', { id: said, text: said })
    reckoning.written(stream, said)
  end

  # What another process has begun is there a moment later.
  def told_of(who, stream)
    @wires[who].wait { |message| message['stream'] == stream || (message['streams'] || []).any? { |part| part['stream'] == stream } }
  end

  # At once after it, somebody on the other process says something that whoever was turned out must not hear.
  def turn(dice, reckoning, staff, student)
    return if reckoning.rooms.any? || student.nil? || reckoning.in.length < 2

    verb = %w[class.send_to_wait class.remove].sample(random: dice)
    act(dice, staff, ids[:sitting], verb, { person: student, place: 'main' })
    reckoning.stand(student, verb == 'class.remove' ? :removed : :waiting)
    reckoning.settle
    other = Reckoning::STAFF.find { |one| one != staff }
    say(dice, reckoning, other)
    draw(dice, reckoning, other)
  end

  def let_in(dice, reckoning, staff)
    who, standing = reckoning.away.to_a.sample(random: dice)
    return if who.nil? || reckoning.rooms.any?

    if standing == :removed
      act(dice, staff, ids[:staff], 'class.let_back', { person: who })
      @wires[who].cut
      join(who)
    end
    act(dice, staff, ids[:sitting], 'class.let_in', { people: [who] })
    @wires[who].wait do |message|
      message['stream'] == ids[:words] && %w[gained welcome].include?(message['t']) || (message['streams'] || []).any? do |part|
        part['stream'] == ids[:words]
      end
    end
    reckoning.stand(who, :in)
  end

  # A copy for each who is there, which is for them alone. Staff may look at them, and nobody does here.
  def hand_out(dice, reckoning, staff)
    of = reckoning.open_boards.sample(random: dice)
    return if of.nil? || reckoning.copied?(of)

    id = of.delete_prefix('board/')
    act(dice, staff, ids[:sitting], 'class.hand_out', { board: id, on: true })
    reckoning.in.each do |who|
      given = @wires[who].wait { |message| message['kind'] == 'copy_given' && message['body']['of'] == id }
      copy = "board/#{given['body']['board']}"
      @wires[who].wait { |message| message['t'] == 'gained' && message['stream'] == copy }
      reckoning.copy(copy, who)
    end
    act(dice, staff, ids[:sitting], 'class.hand_out', { board: id, on: false })
  end

  # Somebody asks to look at boards that are not theirs.
  def peek(dice, who)
    streams = ARCHIVE.db[:boards].where(lesson_id: made[:lesson]).select_map(:id).map { |id| "board/#{id}" }
    @wires[who]&.say(t: 'follow', streams: streams.first(40)) if dice.rand(2).zero?
  end

  # Somebody asks for a page or a board by its address, as a file.
  def fetch(dice, reckoning)
    who, board = all.sample(random: dice), reckoning.every_board.sample(random: dice)
    id = board.delete_prefix('board/')
    path = ["/api/boards/#{id}/p1.svg", "/api/boards/#{id}/small.svg", "/api/boards/#{id}/at/1"].sample(random: dice)
    visitor = (@visitors ||= Hash.new { |known, name| known[name] = VisitorClient.new(servers[all.index(name) % 2], as: name) })[who]
    allowed = path.end_with?('/at/1') ? Reckoning::STAFF.include?(who) : reckoning.by_address(who).include?(board)
    expect([who, path, visitor.get(path).status == 200]).to eq([who, path, allowed])
  end

  def open_board(dice, reckoning)
    board = reckoning.boards_of('odalys').sample(random: dice)
    audience = %w[everyone staff people].sample(random: dice)
    people = audience == 'people' ? Reckoning::STUDENTS.sample(2, random: dice) : []
    visitor = (@visitor ||= VisitorClient.new(servers.first, as: 'odalys'))
    expect(visitor.patch("/api/boards/#{board.delete_prefix('board/')}", { audience: audience, people: people }).status).to eq(200)
    reckoning.open(board, audience == 'people' ? people : audience)
  end

  [11, 23].each do |seed|
    it "is what they may know, and all of it (history #{seed})" do
      dice = Random.new(seed)
      @wires, @heard = {}, {}
      boards = ["board/#{made[:board]}", "board/#{ARCHIVE.lessons.add_board(made[:lesson], name: 'Second')}"]
      Veranda::Preparing::Classes.new(ARCHIVE).boards_changed(made[:lesson])
      all.each { |who| join(who) }
      # Each looks into the lesson as well, by the other process.
      outside = Reckoning::STUDENTS.to_h { |who| [who, Wire.join(servers[(all.index(who) + 1) % 2], who, { lesson: made[:lesson] })] }
      reckoning = Reckoning.new(boards)
      130.times do
        step(dice, reckoning)
        reckoning.settle
      end
      sleep 1
      outside.each do |who, wire|
        told = JSON.generate(wire.heard).scan(/word\d+end/).uniq
        expect(told - reckoning.outside[who]).to be_empty, "#{who} heard by the lesson's door what was not theirs: #{told - reckoning.outside[who]}"
        expect(reckoning.by_lesson_door(who) - told).to be_empty, "#{who} missed by the lesson's door #{reckoning.by_lesson_door(who) - told}"
      end
      # The history had rooms in it.
      expect(ARCHIVE.log.state(ids[:staff]).first.activities.to_a.map { |activity| activity[:state] }).to include('closed')
      all.each do |who|
        told = @heard[who].flat_map { |wire| JSON.generate(wire.heard).scan(/word\d+end/) }.uniq
        expect(told - reckoning.allowed[who]).to be_empty, "#{who} heard what was not theirs: #{told - reckoning.allowed[who]}"
        expect(reckoning.now(who) - told).to be_empty, "#{who} missed #{reckoning.now(who) - told}"
      end
    end
  end
end
