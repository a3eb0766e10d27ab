# frozen_string_literal: true

module Bench
  # A school of ten years: a month of it, the desk of somebody with so many lessons, who would clash over 200 courses, and rules alone. Of
  # each what it asks the database, so that it is seen when that grows with the rows.
  class Calendar < Measure
    WEEKLY = 3
    LESSONS = 520
    COURSES = 200
    TRIES = 15
    NOW = Time.utc(2036, 5, 14, 12)

    def run
      rules
      series = Array.new(WEEKLY) { |i| long_series(i) }
      month(series.first)
      desk
      clashes
    end

    private

    def part(index)
      { start: "2030-01-0#{index + 1}T20:30", zone: 'Europe/London', minutes: 90, rule: "FREQ=WEEKLY;COUNT=#{LESSONS}",
        except: %w[2031-12-25T20:30 2034-12-25T20:30], from: nil }
    end

    def rules
      all = Array.new(WEEKLY) { |i| Veranda::Core::Calendar::Series.new(title: 'Weekly', parts: [part(i)]) }
      took = Array.new(TRIES) { timed { all.each(&:slots) }.last }
      Report.line("#{WEEKLY} series of #{LESSONS}, expanded", Report.percentile(took, 0.5), 'ms CPU')
    end

    def long_series(index)
      course = "calendar#{index}"
      begin_course(course, { 'odalys' => 'instructor', 'farah' => 'student' })
      plan = { series: 's', title: 'Weekly', **part(index).except(:from) }
      Veranda::Deciding::Perform.call(@archive.log, 'course.plan_series', plan, stream: "course/#{course}", by: Demo::School.person('odalys'))
      ms = elapsed { Veranda::Preparing::LayingSeries.new(@archive, course, 's').call }
      Report.line("a series of #{LESSONS} laid", ms, 'ms') if index.zero?
      course
    end

    def begin_course(id, roles)
      people = roles.map { |who, role| { id: who, name: Demo::School::PEOPLE.fetch(who), role: role } }
      Veranda::Deciding::Perform.call(@archive.log, 'course.begin', { name: id, people: people }, stream: "course/#{id}")
    end

    def month(_course)
      between = Veranda::Preparing::LessonsBetween.new(@archive, 'odalys')
      from, to = [Time.utc(2036, 5, 1), Time.utc(2036, 6, 1)].map { |at| at.to_i * 1000 }
      measured("a month of #{WEEKLY * LESSONS} lessons", '≤ 20') { between.call(from, to) }
    end

    def desk
      measured("a desk after #{WEEKLY * LESSONS} lessons", '≤ 15') { Veranda::Preparing::Desk.new(@archive, 'farah', now: NOW.to_i * 1000).call }
    end

    # Each course with some of the same people, and lessons around the time that is asked for.
    def clashes
      COURSES.times do |i|
        begin_course("clash#{i}", { 'ruth' => 'instructor', Demo::School::STUDENTS.keys[i % 14] => 'student', 'farah' => 'student' })
        5.times { |n| @archive.lessons.create(course_id: "clash#{i}", title: 'Clash', minutes: 90, starts_at: NOW + (n * 86_400) + (i * 600)) }
      end
      near = -> { Veranda::Preparing::ClashesNear.new(@archive, 'navigation', by: 'odalys').call(NOW.to_i * 1000, 90, now: 0) }
      measured("clashes over #{COURSES} courses", '≤ 100', &near)
    end

    def measured(name, target, &)
      yield
      took = Array.new(TRIES) { elapsed(&) }
      Report.line(name, Report.percentile(took, 0.5), 'ms', target: "#{target}, #{queries(&)} queries")
    end

    def queries
      counted = 0
      logger = Logger.new(IO::NULL).tap { |log| log.define_singleton_method(:add) { |*, &_| counted += 1 } }
      @archive.db.loggers << logger
      yield
      counted
    ensure
      @archive.db.loggers.delete(logger)
    end
  end
end
