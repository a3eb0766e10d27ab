# frozen_string_literal: true

module Veranda
  module Http
    # A lesson and its run sheet, boards, links and rehearsals.
    class Lessons < Resource
      # These come first, since an id may have anything in it.
      get '/api/lessons/:id.zip' do |id|
        lesson = archive.lessons.fetch(id)
        staff!(lesson)
        give_away(aside(:lesson_zip, lesson: id), named(lesson, 'zip'), 'application/zip')
      end

      # All boards of the lesson in one file.
      get '/api/lessons/:id.pdf' do |id|
        lesson = archive.lessons.fetch(id)
        boards = boards_for(lesson)
        raise Core::Refusal.new(:no_such_board, 'This lesson has no boards yet.') if boards.empty?

        give_away(aside(:lesson_pdf, boards: boards.map { |board| board[:id] }), named(lesson, 'pdf'), 'application/pdf')
      end

      get '/api/lessons/:id' do |id|
        lesson = archive.lessons.fetch(id)
        in_lesson!(lesson).staff? ? lesson(lesson) : for_students(lesson)
      end

      post '/api/lessons' do
        facts = Core::Contract.check(NEW, input)
        role = archive.people.courses(someone![:id])[facts[:course]]
        raise Core::Refusal.new(:staff_only, 'Only instructors and assistants add lessons.') unless Core::Person::STAFF.include?(role)

        id = archive.lessons.create(course_id: facts[:course], title: Core::Title.clean(facts[:title]),
                                    starts_at: Time.at(facts[:starts_at] / 1000), minutes: facts[:minutes] || 90)
        status 201
        json(id: id)
      end

      # A new board: empty, on the slides of a material, or a copy of a template or any other board.
      post '/api/lessons/:id/boards' do |id|
        person = staff!(lesson = archive.lessons.fetch(id))
        facts = Core::Contract.check(BOARD, input)
        rehearsal = rehearsal_of(id, facts.delete(:sitting))&.fetch(:id)
        board = Preparing::NewBoard.new(archive, lesson, by: person, rehearsal: rehearsal).call(**facts)
        Preparing::Classes.new(archive).boards_changed(id, rehearsal: rehearsal)
        hub.review(id)
        status 201
        json(board.slice(*Store::Lessons::BOARD_COLUMNS))
      end

      post '/api/lessons/:id/copies' do |id|
        lesson = archive.lessons.fetch(id)
        staff!(lesson)
        facts = Core::Contract.check(COPY, input)
        teaching!(facts[:course] || lesson[:course_id])
        other = facts.slice(:minutes)
        other[:title] = Core::Title.clean(facts[:title]) if facts[:title]
        status 201
        json(id: archive.copies.lesson(lesson, starts_at: Time.at(facts[:starts_at] / 1000),
                                               course_id: facts[:course] || lesson[:course_id], **other))
      end

      # What others did on the boards since the visitor last looked.
      get '/api/lessons/:id/news' do |id|
        person = staff!(archive.lessons.fetch(id))
        json(archive.boards.news(id, person.id))
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
        sitting = aside(:rehearse, lesson: id)
        StandIns::Troupe.new(hub, lesson, sitting).start(count)
        status 201
        json(sitting: sitting)
      end

      REHEARSAL = Core::Contract.define { required(:stand_ins).value(:integer, gteq?: 1, lteq?: 30) }
      COPY = Core::Contract.define do
        required(:starts_at).value(:integer, :moment?)
        optional(:course).value(Core::Types::ID)
        optional(:title).filled(:string, max_size?: 120)
        optional(:minutes).value(:integer, gteq?: 5, lteq?: 600)
      end
      BOARD = Core::Contract.define do
        required(:name).filled(:string, max_size?: 80)
        optional(:material).value(Core::Types::ID)
        optional(:copy_of).value(Core::Types::ID)
        # The class in which it is made.
        optional(:sitting).value(Core::Types::ID)
      end
      NEW = Core::Contract.define do
        required(:course).value(Core::Types::ID)
        required(:title).filled(:string, max_size?: 120)
        required(:starts_at).value(:integer, :moment?)
        optional(:minutes).value(:integer, gteq?: 5, lteq?: 600)
      end

      private

      # @return [Hash, nil] the class where it is a rehearsal, whose boards are its own
      def rehearsal_of(lesson, sitting)
        row = sitting && archive.sittings.fetch(sitting)
        row if row && row[:lesson_id] == lesson && row[:rehearsal]
      end

      def lesson(lesson)
        person = staff!(lesson)
        starts_at = ms(lesson[:starts_at])
        facts = lesson.merge(starts_at: starts_at)
        sheet = Core::Lessons::RunSheet.new(lesson[:steps], starts_at: starts_at, minutes: lesson[:minutes])
        course = archive.course(lesson[:course_id])
        json(facts.merge(course: course[:name], zone: course[:zone], role: person.role, sheet: sheet.to_h,
                         boards: archive.lessons.boards(lesson[:id]),
                         copies: archive.own_copies.of_lesson(lesson[:id]).map { |row| copy(row) },
                         to_mend: aside(:findings, lessons: [lesson[:id]], now: hub.clock.call)[lesson[:id]]))
      end

      # Before and after class: the boards that are open to students, and nothing of the plan.
      def for_students(lesson)
        boards = boards_for(lesson)
        json(lesson.slice(:id, :title, :number, :minutes, :course_id).merge(
               starts_at: ms(lesson[:starts_at]), course: archive.course(lesson[:course_id])[:name], role: 'student',
               boards: boards.map { |board| board.slice(:id, :name, :outside, :first_page) },
               copies: own_copies(lesson)
             ))
      end

      # What came back to them after classes in which it was handed out.
      def own_copies(lesson)
        rows = archive.own_copies.of_lesson(lesson[:id], person: visitor.person[:id])
        rows.select { |row| reader.board?(row, lesson) }.map { |row| copy(row) }
      end

      def copy(row) = row.slice(:id, :name, :copy_of, :outside, :first_page, :owner)

      def boards_for(lesson)
        in_lesson!(lesson)
        archive.lessons.boards(lesson[:id]).select { |board| reader.board?(board, lesson) }
      end

      def named(lesson, ending) = "#{Core::Materials::FileName.plain(lesson[:title])}.#{ending}"
    end
  end
end
