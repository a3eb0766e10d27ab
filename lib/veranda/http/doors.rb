# frozen_string_literal: true

module Veranda
  module Http
    # Coming in by link, with no account. Looking at a link changes nothing, so that a preview
    # of it in a message does not use it up.
    class Doors < Resource
      KINDS = %w[personal class recording].freeze

      post '/api/links/look' do
        link = archive.links.open(input['token'], KINDS)
        person = archive.people.find(link[:person_id])
        json(kind: link[:kind], name: person && person[:name], lesson: link[:lesson_id] && lesson(link[:lesson_id]))
      end

      post '/api/links/enter' do
        facts = input
        link = archive.links.open(facts['token'], KINDS)
        json(to: send(:"enter_#{link[:kind]}", link, facts))
      end

      # The class of a lesson, made ready by whoever comes first.
      post '/api/lessons/:id/class' do |id|
        lesson = archive.lessons.fetch(id)
        person = in_lesson!(lesson)
        json(sitting: Classes.new(archive).ready(lesson, again: person.staff? && input['again'] == true))
      end

      # A class, with a person's notes of the steps, which the class's own stream does not carry.
      get '/api/classes/:id' do |id|
        row = archive.sittings.fetch(id)
        lesson = archive.lessons.fetch(row[:lesson_id])
        person = in_lesson!(lesson)
        notes = person.staff? ? lesson[:steps].to_h { |step| [step[:id], step[:notes]] } : {}
        json(id: id, lesson: lesson[:id], course: lesson[:course_id], title: lesson[:title], rehearsal: row[:rehearsal],
             notes: notes)
      end

      private

      def enter_personal(link, _facts)
        visitor.enter_as(link[:person_id])
        link[:lesson_id] ? "/lessons/#{link[:lesson_id]}/class" : '/'
      end

      # Someone already known here keeps who they are.
      def enter_class(link, facts)
        lesson = archive.lessons.fetch(link[:lesson_id])
        unless visitor.in_lesson(lesson)
          id = archive.people.add(Core::Name.clean(facts['name']))
          archive.people.admit(lesson[:id], id)
          visitor.enter_as(id)
        end
        "/lessons/#{lesson[:id]}/class"
      end

      def enter_recording(link, _facts)
        visitor.may_watch(link)
        "/recordings/#{link[:sitting_id]}"
      end

      def lesson(id)
        lesson = archive.lessons.fetch(id)
        staff = archive.people.roster(lesson[:course_id]).select { |person| person[:role] == 'instructor' }
        { title: lesson[:title], starts_at: ms(lesson[:starts_at]), minutes: lesson[:minutes],
          course: archive.course(lesson[:course_id])[:name], host: staff.first && staff.first[:name],
          known: !visitor.in_lesson(lesson).nil? }
      end
    end
  end
end
