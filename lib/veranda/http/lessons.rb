# frozen_string_literal: true

module Veranda
  module Http
    # A lesson and its run sheet, boards, links and rehearsals.
    class Lessons < Resource
      get('/api/lessons/:id') { |id| lesson(archive.lessons.fetch(id)) }

      post '/api/lessons' do
        facts = Core::Contract.check(NEW, input)
        role = archive.people.courses(someone![:id])[facts[:course]]
        unless Core::Person::STAFF.include?(role)
          raise Core::Refusal.new(:staff_only, 'Only instructors and assistants add lessons.')
        end

        id = archive.lessons.create(course_id: facts[:course], title: facts[:title],
                                    starts_at: Time.at(facts[:starts_at] / 1000), minutes: 90)
        status 201
        json(id: id)
      end

      patch '/api/lessons/:id' do |id|
        lesson = archive.lessons.fetch(id)
        staff!(lesson)
        boards = archive.lessons.boards(id).map { |board| board[:id] }
        facts = Core::Lessons::LessonContract.check(input, boards: boards)
        facts[:starts_at] = Time.at(facts[:starts_at] / 1000.0) if facts[:starts_at]
        lesson(archive.lessons.update(id, **facts))
      end

      post '/api/lessons/:id/boards' do |id|
        staff!(archive.lessons.fetch(id))
        name = Core::Name.clean(input['name'])
        board = archive.lessons.add_board(id, name: name)
        status 201
        json(id: board, name: name, audience: 'everyone')
      end

      # A link that lets anyone who has it into this lesson's classes. Shown once.
      post '/api/lessons/:id/links' do |id|
        lesson = archive.lessons.fetch(id)
        staff!(lesson)
        ends = [lesson[:starts_at], Time.now].max + 86_400
        status 201
        json(archive.links.make('class', lesson_id: id, expires_at: ends).merge(expires_at: ms(ends)))
      end

      post '/api/lessons/:id/rehearsals' do |id|
        lesson = archive.lessons.fetch(id)
        staff!(lesson)
        count = Core::Contract.check(REHEARSAL, input)[:stand_ins]
        sitting = Classes.new(archive).rehearsal(lesson)
        StandIns::Troupe.new(hub, lesson, sitting).start(count)
        status 201
        json(sitting: sitting)
      end

      REHEARSAL = Core::Contract.define { required(:stand_ins).value(:integer, gteq?: 1, lteq?: 30) }
      NEW = Core::Contract.define do
        required(:course).value(Core::Types::ID)
        required(:title).filled(:string, max_size?: 120)
        required(:starts_at).value(:integer)
      end

      private

      def lesson(lesson)
        person = staff!(lesson)
        starts_at = ms(lesson[:starts_at])
        facts = lesson.merge(starts_at: starts_at)
        sheet = Core::Lessons::RunSheet.new(lesson[:steps], starts_at: starts_at, minutes: lesson[:minutes])
        json(facts.merge(course: archive.course(lesson[:course_id])[:name], role: person.role, sheet: sheet.to_h,
                         boards: archive.lessons.boards(lesson[:id]),
                         to_mend: Core::Lessons::Readiness.of(facts, now: hub.clock.call)))
      end
    end
  end
end
