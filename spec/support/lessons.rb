# frozen_string_literal: true

# Fresh lessons with boards and classes for specs that store something.
module Lessons
  NOW = -> { (Time.now.to_f * 1000).round }

  # @return [Hash] `{ lesson:, board:, staff_board: }`, ids of what was made
  def fresh_lesson(title = 'A lesson')
    suffix = Veranda::Store::Ids.call
    steps = [{ id: 'one', title: 'One', minutes: 10, shortest: 5, notes: 'private words', board: "board-#{suffix}" },
             { id: 'two', title: 'Two', minutes: 20, shortest: 5, notes: '', board: nil }]
    lesson = ARCHIVE.lessons.create(course_id: 'navigation', title: title, minutes: 30, starts_at: Time.now + 600, steps: steps)
    ARCHIVE.lessons.add_board(lesson, name: 'Open board', id: "board-#{suffix}")
    staff = ARCHIVE.lessons.add_board(lesson, name: 'Staff board', audience: 'staff')
    { lesson: lesson, board: "board-#{suffix}", staff_board: staff }
  end

  # A course of its own.
  # @param roles [Hash{Symbol => String}] by person of the demo school
  # @return [String] id
  def begin_course(id = "course-#{Veranda::Store::Ids.call}", name: 'A new course', **roles)
    people = roles.map { |who, role| { id: who.to_s, name: Demo::School::PEOPLE.fetch(who.to_s), role: role } }
    Veranda::Deciding::Perform.call(ARCHIVE.log, 'course.begin', { name: name, people: people }, stream: "course/#{id}")
    id
  end

  # Cues on the first step of a lesson.
  def cue!(made, *cues)
    steps = ARCHIVE.lessons.fetch(made[:lesson])[:steps]
    ARCHIVE.lessons.lay(made[:lesson], steps: [steps.first.merge(cues: cues), *steps.drop(1)])
  end

  # A class of a fresh lesson, planned; its doors open unless said otherwise.
  # @return [Hash] as {#fresh_lesson}, and `:sitting`
  def fresh_class(open: true, **lesson)
    made = lesson.empty? ? fresh_lesson : lesson
    sitting = Veranda::Preparing::Classes.new(ARCHIVE).ready(ARCHIVE.lessons.fetch(made[:lesson]))
    perform('odalys', 'class.open', "sitting/#{sitting}") if open
    made.merge(sitting: sitting)
  end

  # Carries out one command in this process.
  # @return [Veranda::Deciding::Outcome]
  def perform(who, wire_name, stream, sitting: nil, **input)
    order = Veranda::Deciding::Order.of(wire_name, JSON.parse(JSON.generate(input)), stream: stream, by: Demo::School.person(who),
                                                                                     sitting: sitting)
    Veranda::Deciding::Performer.new(ARCHIVE.log).perform([order], at: NOW.call).first
  end
end
