# frozen_string_literal: true

module Veranda
  module Http
    # The first page: today's classes, the week, and what waits.
    class Desk < Resource
      DAY = 86_400_000

      get '/api/desk' do
        person = someone!
        roles = archive.people.courses(person[:id])
        lessons = archive.lessons.of_courses(roles.keys).map { |lesson| card(lesson, roles[lesson[:course_id]]) }
        json(now: hub.clock.call, lessons: lessons, waiting: waiting(lessons))
      end

      private

      def card(lesson, role)
        staff = Core::Person::STAFF.include?(role)
        latest = archive.sittings.of_lesson(lesson[:id]).first
        facts = lesson.slice(:id, :title, :number, :minutes).merge(role: role, starts_at: ms(lesson[:starts_at]),
                                                                   class: class_facts(latest))
        facts[:course] = archive.course(lesson[:course_id])[:name]
        facts[:host] = host(lesson[:course_id])
        facts.merge!(preparation(lesson)) if staff
        facts
      end

      def class_facts(row)
        return unless row

        sitting = archive.sittings.state(row[:id])
        row = archive.recordings.fetch(row[:id])
        recording = archive.recordings.recording(row)
        { id: row[:sitting_id], status: sitting.status, here: sitting.present.length, shared: row[:shared],
          recorded: recording&.clock&.length }
      end

      def preparation(lesson)
        record_from = lesson[:steps].find { |step| step[:id] == lesson[:record_from] }
        { steps: lesson[:steps].map { |step| step.slice(:title, :minutes) }, boards: archive.lessons.boards(lesson[:id]).length,
          record_from: record_from && record_from[:title], to_mend: to_mend(lesson) }
      end

      # What is over needs no mending.
      def to_mend(lesson)
        now = hub.clock.call
        ms(lesson[:starts_at]) + lesson[:minutes] * 60_000 < now ? [] : Preparation.new(archive).findings(lesson, now: now)
      end

      def host(course_id)
        @hosts ||= {}
        @hosts[course_id] ||= archive.people.roster(course_id).find { |person| person[:role] == 'instructor' }&.fetch(:name)
      end

      # Recordings nobody can see yet, and lessons of the coming week that are not ready.
      def waiting(lessons)
        taught = lessons.select { |lesson| lesson.key?(:to_mend) }
        unshared = taught.select { |lesson| unshared?(lesson) }
        unready = taught.select { |lesson| unready?(lesson) }
        { recordings: unshared.map { |lesson| { id: lesson[:class][:id], title: lesson[:title] } },
          lessons: unready.map { |lesson| { id: lesson[:id], title: lesson[:title], count: lesson[:to_mend].length } } }
      end

      def unshared?(lesson) = lesson.dig(:class, :recorded) && !lesson[:class][:shared]

      def unready?(lesson)
        now = hub.clock.call
        lesson[:class].nil? && lesson[:to_mend].any? && lesson[:starts_at].between?(now, now + 8 * DAY)
      end
    end
  end
end
