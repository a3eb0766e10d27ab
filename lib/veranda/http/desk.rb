# frozen_string_literal: true

module Veranda
  module Http
    # The first page: today's classes, the week, and what waits.
    class Desk < Resource
      DAY = 86_400_000

      get '/api/desk' do
        person = someone!
        roles = archive.people.courses(person[:id])
        rows = archive.lessons.of_courses(roles.keys)
        prepare(rows, roles)
        lessons = rows.map { |lesson| card(lesson, roles[lesson[:course_id]]) }
        json(now: hub.clock.call, lessons: lessons, waiting: waiting(lessons))
      end

      private

      # Everything about all lessons that can be asked for at once.
      def prepare(lessons, roles)
        ids = lessons.map { |lesson| lesson[:id] }
        @classes = archive.sittings.latest(ids)
        @boards = archive.lessons.board_counts(ids)
        coming = lessons.select { |lesson| staff?(roles[lesson[:course_id]]) && !over?(lesson) }
        @findings = coming.empty? ? {} : aside(:findings, lessons: coming.map { |lesson| lesson[:id] }, now: hub.clock.call)
      end

      def staff?(role) = Core::Person::STAFF.include?(role)
      def over?(lesson) = ms(lesson[:starts_at]) + lesson[:minutes] * 60_000 < hub.clock.call

      def card(lesson, role)
        facts = lesson.slice(:id, :title, :number, :minutes, :course_id).merge(role: role, starts_at: ms(lesson[:starts_at]),
                                                                               class: class_facts(@classes[lesson[:id]]))
        facts[:course] = course(lesson[:course_id])
        facts[:host] = host(lesson[:course_id])
        facts.merge!(preparation(lesson)) if staff?(role)
        facts
      end

      # Only a class that goes on has to be looked into.
      def class_facts(row)
        return unless row

        here = row[:status] == 'planned' ? 0 : archive.sittings.state(row[:id]).present.length
        recording = row[:status] == 'ended' && archive.recordings.find(row[:id])
        { id: row[:id], status: row[:status], here: here, shared: recording ? recording[:shared] : false,
          recorded: recording ? archive.recordings.recording(recording)&.clock&.length : nil }
      end

      # What is over needs no mending.
      def preparation(lesson)
        record_from = lesson[:steps].find { |step| step[:id] == lesson[:record_from] }
        { steps: lesson[:steps].map { |step| step.slice(:title, :minutes) }, boards: @boards.fetch(lesson[:id], 0),
          record_from: record_from && record_from[:title], to_mend: @findings.fetch(lesson[:id], []) }
      end

      def course(id)
        @courses ||= {}
        @courses[id] ||= archive.course(id)[:name]
      end

      def host(course_id)
        @hosts ||= {}
        @hosts[course_id] ||= archive.people.roster(course_id).find { |person| person[:role] == 'instructor' }&.fetch(:name)
      end

      # Recordings nobody can see yet, lessons of the coming week that are not ready, and questions without an answer.
      def waiting(lessons)
        taught = lessons.select { |lesson| lesson.key?(:to_mend) }
        unshared = taught.select { |lesson| unshared?(lesson) }
        unready = taught.select { |lesson| unready?(lesson) }
        { recordings: unshared.map { |lesson| { id: lesson[:class][:id], title: lesson[:title] } },
          lessons: unready.map { |lesson| { id: lesson[:id], title: lesson[:title], count: lesson[:to_mend].length } },
          questions: unanswered(taught) }
      end

      def unanswered(taught)
        counts = archive.questions.unanswered(taught.map { |lesson| lesson[:id] })
        taught.filter_map { |lesson| { id: lesson[:id], title: lesson[:title], count: counts[lesson[:id]] } if counts[lesson[:id]] }
      end

      def unshared?(lesson) = lesson.dig(:class, :recorded) && !lesson[:class][:shared]

      def unready?(lesson)
        now = hub.clock.call
        lesson[:class].nil? && lesson[:to_mend].any? && lesson[:starts_at].between?(now, now + 8 * DAY)
      end
    end
  end
end
