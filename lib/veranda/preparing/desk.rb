# frozen_string_literal: true

module Veranda
  module Preparing
    # The first page somebody sees: today's classes and those to come, the one that was held last, and what waits for them. However many
    # lessons there were, no more is looked through than is shown.
    class Desk
      DAY = 86_400_000
      # Lessons to come that are shown, and of each kind of thing that waits.
      MOST_LESSONS = 100
      MOST_WAITING = 20
      # Classes, the latest, that are looked into for something to watch: whether there is, only they say themselves.
      MOST_LOOKED_INTO = 60
      # ms for which lessons to come are looked through for what is to be mended.
      SOON = 8 * DAY

      # @param archive [Store::Archive]
      # @param person [String] id
      # @param now [Integer] ms since the epoch
      def initialize(archive, person, now:)
        @archive = archive
        @now = now
        @roles = archive.people.courses(person)
        @courses = archive.courses(@roles.keys)
        @hosts = archive.people.hosts(@roles.keys)
      end

      # @return [Hash] see {Shapes::Answers}
      def call
        near = @archive.lessons.of_courses(@roles.keys, after: Time.at((@now - DAY) / 1000.0), limit: MOST_LESSONS)
        all = @archive.lessons.titles(@roles.keys)
        @recordings = @archive.recordings.of_lessons(all.keys, limit: MOST_LOOKED_INTO)
        last = held(all)
        near = [@archive.lessons.fetch(last), *near] if last && near.none? { |lesson| lesson[:id] == last }
        cards = cards(near)
        { now: @now, lessons: cards, waiting: waiting(cards, all) }
      end

      private

      def staff?(course) = Core::Person::STAFF.include?(@roles[course])
      def starts_at(lesson) = (lesson[:starts_at].to_f * 1000).round
      def over?(lesson) = starts_at(lesson) + (lesson[:minutes] * 60_000) < @now

      # @return [String, nil] id of the lesson of the last class of which there is something to watch
      def held(all)
        seen = @recordings.lazy.select { |row| row[:shared] || staff?(all[row[:lesson_id]][:course_id]) }
        seen.find { |row| length(row) }&.fetch(:lesson_id)
      end

      # @return [Integer, nil] ms that there is to watch of a class
      def length(row) = (@lengths ||= {}).fetch(row[:sitting_id]) { |id| @lengths[id] = @archive.recordings.recording(row)&.clock&.length }

      def cards(lessons)
        ids = lessons.map { |lesson| lesson[:id] }
        classes = @archive.sittings.latest(ids)
        boards = @archive.lessons.board_counts(ids)
        lessons.map do |lesson|
          facts = card(lesson, classes[lesson[:id]])
          staff?(lesson[:course_id]) ? facts.merge(preparation(lesson, boards)) : facts
        end
      end

      def card(lesson, row)
        lesson.slice(:id, :title, :number, :minutes, :course_id, :cancelled).merge(
          role: @roles[lesson[:course_id]], starts_at: starts_at(lesson), course: @courses[lesson[:course_id]],
          host: @hosts[lesson[:course_id]], class: row && class_facts(row)
        )
      end

      # Only a class that goes on has to be looked into.
      def class_facts(row)
        here = row[:status] == 'open' ? @archive.sittings.state(row[:id]).present.length : 0
        recording = @recordings.find { |one| one[:sitting_id] == row[:id] } if row[:status] == 'ended'
        { id: row[:id], status: row[:status], here: here, shared: recording ? recording[:shared] : false,
          recorded: recording && length(recording) }
      end

      # What is over, or far ahead, needs no mending yet.
      def preparation(lesson, boards)
        record_from = lesson[:steps].find { |step| step[:id] == lesson[:record_from] }
        looked = !over?(lesson) && !lesson[:cancelled] && starts_at(lesson) < @now + SOON
        @preparation ||= Preparation.new(@archive)
        { steps: lesson[:steps].map { |step| step.slice(:title, :minutes) }, boards: boards.fetch(lesson[:id], 0),
          record_from: record_from && record_from[:title], to_mend: looked ? @preparation.findings(lesson, now: @now) : [] }
      end

      # Recordings nobody can see yet, lessons of the coming week that are not ready, and questions without an answer.
      def waiting(cards, all)
        taught = all.select { |_, lesson| staff?(lesson[:course_id]) }
        { recordings: unshared(taught), lessons: unready(cards), questions: unanswered(taught) }
      end

      def unanswered(taught)
        counts = @archive.questions.unanswered(taught.keys)
        asked = taught.keys.select { |id| counts[id] }.last(MOST_WAITING)
        asked.map { |id| { id: id, title: taught[id][:title], count: counts[id] } }
      end

      def unshared(taught)
        rows = @recordings.lazy.select { |row| !row[:shared] && taught.key?(row[:lesson_id]) && length(row) }.first(MOST_WAITING)
        rows.reverse.map { |row| { id: row[:sitting_id], title: taught[row[:lesson_id]][:title] } }
      end

      def unready(cards)
        soon = cards.select { |lesson| lesson[:class].nil? && lesson[:to_mend]&.any? && lesson[:starts_at].between?(@now, @now + SOON) }
        soon.first(MOST_WAITING).map { |lesson| { id: lesson[:id], title: lesson[:title], count: lesson[:to_mend].length } }
      end
    end
  end
end
