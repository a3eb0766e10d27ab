# frozen_string_literal: true

# Classes in which random things happen, recorded and edited as chance has it; and what of them may be in no byte of what is given out.
module RandomClass
  def act(made, who, name, stream, at, **input)
    Veranda::Deciding::Perform.call(ARCHIVE.log, name, input, stream: stream, by: Demo::School.person(who), at: at, sitting: made[:sitting])
  rescue Core::Refusal
    nil # random people try things that are not allowed
  end

  # A class in which random things happen, 5 s apart.
  # @return [Array(Hash, Core::Recordings::Recording)]
  def random_class(rng)
    made = fresh_class
    sitting, room, exchange = "sitting/#{made[:sitting]}", "place/#{made[:sitting]}.main", "exchange/#{made[:sitting]}.main"
    other = ARCHIVE.lessons.add_board(made[:lesson], name: 'Another')
    Veranda::Preparing::Classes.new(ARCHIVE).boards_changed(made[:lesson])
    boards = [made[:board], other]
    now = Lessons::NOW.call
    act(made, 'odalys', 'class.record', sitting, now, on: true)
    80.times do |i|
      now += 5_000
      who = %w[odalys farah jonas].sample(random: rng)
      board = "board/#{boards.sample(random: rng)}"
      case rng.rand(18)
      when 0 then act(made, 'odalys', 'class.record', sitting, now, on: rng.rand(2).zero?)
      when 1 then act(made, 'odalys', 'class.show', room, now, board: boards.sample(random: rng), page: 'p1')
      when 2 then act(made, who, 'class.join', sitting, now)
      when 3 then act(made, who, 'class.leave', sitting, now, place: 'main')
      when 4 then act(made, who, 'class.raise_hand', room, now)
      when 5, 6, 14, 15, 16 then act(made, who, 'exchange.post', exchange, now, id: "p#{i}",
                                                                                text: ["words#{i}", "Farah, words#{i}!", "words#{i} JONAS Whitlock"].sample(random: rng))
      when 7 then act(made, 'odalys', 'exchange.delete', exchange, now, id: "p#{rng.rand(i + 1)}")
      when 8 then act(made, who, 'board.undo', board, now)
      when 10 then act(made, who, 'exchange.react', exchange, now, **{ id: "p#{rng.rand(i + 1)}", sign: [nil, 'agree', 'thanks'].sample(random: rng) }.compact)
      when 11
        pin_or_park(made, exchange, now, "p#{rng.rand(i + 1)}", rng)
      when 9 then act(made, 'odalys', 'class.rule', room, now, right: 'draw', allow: rng.rand(2).zero?)
      else act(made, who, 'board.put', board, now, marks: [stroke("m#{i}", x: rng.rand(900))])
      end
    end
    act(made, 'odalys', 'class.end', sitting, now + 5_000)
    edit(made, rng, now)
    [made, ARCHIVE.recordings.recording(ARCHIVE.recordings.fetch(made[:sitting]))]
  end

  # Cuts, blanks and people, as chance has it.
  def edit(made, rng, now)
    stream = "recording/#{made[:sitting]}"
    (1 + rng.rand(5)).times do |i|
      from = rng.rand((now - 400_000)..now)
      act(made, 'odalys', %w[recording.cut recording.blank recording.add_stretch].sample(random: rng), stream, now, id: "e#{i}", from: from, to: from + 60_000)
    end
    act(made, 'odalys', 'recording.take_back', stream, now, id: 'e0') if rng.rand(3).zero?
    act(made, 'odalys', 'recording.hide_names', stream, now, on: true) if rng.rand(2).zero?
    act(made, 'odalys', 'recording.leave_out', stream, now, person: %w[farah jonas].sample(random: rng), on: true) if rng.rand(2).zero?
  end

  def replay_of(made, recording)
    Veranda::Store::Replay.new(ARCHIVE.log, made[:sitting], recording, cast: -> { Veranda::Store::Casting.new(ARCHIVE).call(recording, 'navigation') })
  end

  # Whatever may be in no byte of what is sent: names and ids, and the words of what was cut, blank or by somebody who was left out.
  def secrets(made, recording)
    edits = recording.edits
    people = edits.left_out + (edits.names_hidden? ? %w[farah jonas] : [])
    words = ARCHIVE.log.state("exchange/#{made[:sitting]}.main").first.posts.values.select do |post|
      edits.blank?(post[:at]) || !recording.clock.covers?(post[:at]) || edits.left_out.include?(post[:by])
    end
    people.flat_map { |id| [id, *Demo::School.person(id).name.split] } + words.filter_map { |post| post[:text]&.slice(/words\d+/) } + drawn(made, edits)
  end

  # Ids of marks by people who were left out.
  def drawn(made, edits)
    boards = ARCHIVE.lessons.boards(made[:lesson]).flat_map { |board| ARCHIVE.log.entries("board/#{board[:id]}") }
    boards.select { |entry| entry.kind == 'edited' && edits.left_out.include?(entry.actor) }
          .flat_map { |entry| entry.body[:ops].filter_map { |op| op[:mark] && op[:mark][:by].nil? && op[:mark][:id] } }
  end

  # Each as a word of its own.
  def said(secrets, text) = secrets.select { |secret| text.match?(/(?<![[:alnum:]])#{Regexp.escape(secret)}(?![[:alnum:]])/) }

  def pin_or_park(made, exchange, now, id, rng)
    act(made, 'odalys', 'exchange.pin', exchange, now, id: id, on: rng.rand(3).positive?)
    act(made, 'odalys', 'exchange.park', exchange, now, id: id, parked: 'waiting') if rng.rand(2).zero?
  end
end
