# frozen_string_literal: true

module Demo
  # A class that was held: simulated people join, draw, write and leave at given minutes,
  # each act a command like any other.
  class HeldClass
    # @param archive [Veranda::Store::Archive]
    # @param lesson_id [String]
    # @param starts_at [Integer] ms since the epoch
    # @param id [String] of the class
    def initialize(archive, lesson_id, starts_at:, id:)
      @archive = archive
      @hands = Hands.new(archive)
      @starts_at = starts_at
      @id = archive.sittings.create(lesson_id, id: id)
      @sitting = "sitting/#{@id}"
      @room = "place/#{@id}.main"
      @exchange = "exchange/#{@id}.main"
      @acts = []
      act('odalys', -20, 'class.plan', @sitting, **archive.sittings.plan(archive.sittings.fetch(@id)).transform_keys(&:to_sym))
    end

    # @param minute [Numeric] after the planned start
    def act(person, minute, wire_name, stream, **input)
      @acts << [@starts_at + (minute * 60_000).round, @acts.length, person, wire_name, stream, input]
    end

    # Everyone joins in the minutes before the start, one or two a little late.
    def gather(people)
      act('odalys', -12, 'class.join', @sitting)
      act('tomas', -11, 'class.join', @sitting)
      act('odalys', -10, 'class.open', @sitting)
      people.each_with_index { |person, index| act(person, -8 + index * 0.77, 'class.join', @sitting) }
    end

    def move(minute, step) = act('odalys', minute, 'class.move', @sitting, step: step)
    def show(minute, board, page) = act('odalys', minute, 'class.show', @room, board: board, page: page)
    def raise_hand(person, minute) = act(person, minute, 'class.raise_hand', @room)
    def take_hand(person, minute) = act('odalys', minute, 'class.lower_hand', @room, person: person)

    def allow(minute, right, allow, person: nil)
      act('odalys', minute, 'class.rule', @room, right: right, allow: allow, **{ person: person }.compact)
    end

    def put(person, minute, board, *marks) = act(person, minute, 'board.put', "board/#{board}", marks: marks)
    def undo(person, minute, board) = act(person, minute, 'board.undo', "board/#{board}")

    def post(person, minute, text)
      act(person, minute, 'exchange.post', @exchange, id: "#{@id}-#{@acts.length}", text: text)
    end

    def caption(person, minute, words)
      act(person, minute, 'class.caption', @room, id: "#{@id}-#{@acts.length}", words: words, lang: 'en', took: 2_000)
    end

    # Marks one after the other, with the pauses of someone who talks while drawing.
    def draw(person, minute, board, marks, every: 0.5)
      marks.each_with_index { |mark, index| put(person, minute + index * every, board, mark) }
    end

    # The pointer goes round a place for some seconds.
    def point(person, minute, board, x, y, seconds: 4, radius: 40)
      seconds.times do |second|
        path = 10.times.flat_map do |i|
          angle = (second + i / 10.0) * 2.4
          [1000 - i * 100, (x + radius * Math.cos(angle)).round, (y + radius * Math.sin(angle)).round]
        end
        act(person, minute + second / 60.0, 'board.point', "board/#{board}", page: 'p1', path: path)
      end
    end

    # Some work in rooms for a while, dealt as they would have been then; whoever comes first in each writes something on its board.
    # @param names [Array<String>] of the rooms
    # @param words [Array<String>] one for each room
    # @return [Array<String>] ids of the rooms
    def split(minute, name, step, people, names:, words:, minutes:)
      row = @archive.sittings.fetch(@id)
      meetings = Veranda::Core::Groups::Meetings.new(@archive.room_work.who_sat(row))
      sizes = Veranda::Core::Groups::Sizes.in_rooms(people.length, names.length)
      groups = Veranda::Core::Groups::Deal.new(people: people, sizes: sizes, meetings: meetings, seed: 1).call.rooms
      rooms = names.each_with_index.map { |room, i| { id: "#{@id}-#{room.downcase.tr(' ', '-')}", name: room, people: groups[i] } }
      boards = @archive.room_work.make_boards(row, rooms.map { |room| { **room, from: [{ id: nil, name: name, first_page: nil }] } })
      staff = "staff/#{@id}"
      plan = { by: 'rooms', number: names.length, way: 'deal', minutes: minutes.ceil }
      act('odalys', minute, 'rooms.deal', staff, id: "#{@id}-rooms", name: name, step: step, plan: plan, seed: 1, again: 0, bound: 0, says: [], rooms: rooms)
      act('odalys', minute + 0.2, 'rooms.open', staff, activity: "#{@id}-rooms", people: people, rooms: rooms.map { |room| { id: room[:id], boards: boards[room[:id]] } })
      rooms.each_with_index do |room, i|
        hand = Drawing.new(prefix: "room-#{i}", seed: i)
        put(room[:people].first, minute + 1 + (i * 0.2), boards[room[:id]].first[:id], hand.text(160, 180, words[i], size: 40))
      end
      act('odalys', minute + minutes, 'rooms.time', staff, activity: "#{@id}-rooms", rooms: rooms.map { |room| room[:id] }, left: 0, grace: 0)
      act('odalys', minute + minutes, 'rooms.bring_back', staff, activity: "#{@id}-rooms", rooms: rooms.map { |room| room[:id] }, people: people)
    end

    # A poll in rounds, two minutes each, shown side by side and taken from view again.
    # @param id [String]
    # @param rounds [Array<Hash{String => Object}>] answers by person
    def ask(minute, id, question, rounds)
      staff, poll = "staff/#{@id}", "poll/#{@id}.#{id}"
      act('odalys', minute, 'poll.stage', staff, poll: id, question: question)
      rounds.each.with_index(1) do |answers, round|
        from = minute + ((round - 1) * 2.5)
        act('odalys', from + 0.1, 'poll.open', staff, poll: id, round: round, **(round > 1 ? { talk: 30 } : {}))
        answers.each_with_index { |(person, value), i| act(person, from + 0.7 + (i * 0.08), 'poll.answer', poll, round: round, value: value) }
        act('odalys', from + 2, 'poll.close', staff, poll: id, round: round)
      end
      over = minute + (rounds.length * 2.5)
      act('odalys', over, :show, id, round: rounds.length, **(rounds.length > 1 ? { since: rounds.length - 1 } : {}))
      act('odalys', over + 1.5, 'poll.seal', staff, poll: id)
    end

    # Ends the class and carries everything out in order of time.
    def finish(minute, people)
      people.each_with_index { |person, index| act(person, minute - 0.4 + index * 0.02, 'class.leave', @sitting, place: 'main') }
      act('odalys', minute, 'class.end', @sitting)
      @acts.sort_by { |at, number, *| [at, number] }.each do |at, _, person, wire_name, stream, input|
        next show_poll(person, stream, at, **input) if wire_name == :show

        @hands.do(person, wire_name, stream, at: at, sitting: @id, **input)
      end
    end

    private

    # What a poll came to is worked out before it is shown.
    def show_poll(person, poll, at, **rounds)
      by = School.person(person).to_h.slice(:id, :name, :role)
      Veranda::Preparing::PollResults.new(@archive, @id).show(poll, by: by, tell: true, at: at, **rounds)
    end
  end
end
