# frozen_string_literal: true

module Veranda
  module Http
    # What people asked in classes: one's own, all of a lesson's after class, and answering it then in writing.
    class Questions < Resource
      # Which of them one has asked, and voted for.
      get '/api/classes/:id/questions/mine' do |id|
        json(aside(:my_questions, sitting: id, person: in_lesson!(lesson_of(id)).id))
      end

      get '/api/classes/:id/questions.csv' do |id|
        staff!(lesson_of(id))
        give_away(aside(:questions_table, sitting: id), 'questions.csv', 'text/csv; charset=utf-8')
      end

      # Of the classes of a lesson that are over, for whoever was in them.
      get '/api/lessons/:id/questions' do |id|
        lesson = archive.lessons.fetch(id)
        person = in_lesson!(lesson)
        json(classes: aside(:lesson_questions, lesson: id, person: person.id, teaches: person.staff?))
      end

      ANSWER = Core::Contract.define do
        optional(:words).value(:string, max_size?: Core::Questions::Finish::LONGEST)
        optional(:pass).value(:bool)
      end

      # Answers one in writing; or, with `pass`, reviews one that nobody came to review in class.
      post '/api/classes/:id/questions/:question' do |id, question|
        person = staff!(lesson_of(id))
        wish = Core::Contract.check(ANSWER, input)
        name, wish = wish.key?(:pass) ? ['question.review', wish.slice(:pass)] : ['question.done', wish]
        Deciding::Perform.call(archive.log, name, { id: question, **wish }, stream: Core::Streams::StreamName.questions(id), by: person)
        json({})
      end

      private

      def lesson_of(id) = archive.lessons.fetch(archive.sittings.fetch(id)[:lesson_id])
    end
  end
end
