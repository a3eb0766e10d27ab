# frozen_string_literal: true

module Veranda
  module Http
    # Lessons as files for other calendars, and addresses by which those read them by themselves. Who has such an address reads when
    # somebody's lessons are and what they are called, and nothing else; it can be taken back.
    class Agendas < Resource
      TYPE = 'text/calendar; charset=utf-8'

      # These come first, since an id may have anything in it.
      get('/api/agenda.ics') { file('Veranda', :agenda, person: someone![:id]) }

      get '/api/courses/:id/agenda.ics' do |id|
        raise not_invited unless archive.people.courses(someone![:id]).key?(id)

        file(archive.course(id)[:name], :agenda, person: visitor.person[:id], course: id)
      end

      get '/api/lessons/:id/agenda.ics' do |id|
        lesson = archive.lessons.fetch(id)
        person = in_lesson!(lesson)
        file(lesson[:title], :agenda_of_lesson, lesson: id, person: person.id, role: person.role)
      end

      # Read by programs that nobody has signed in to.
      get '/api/agenda/:token.ics' do |token|
        link = archive.links.open(token, %w[agenda])
        file('Veranda', :agenda, as: 'inline', person: link[:person_id])
      end

      get('/api/agenda') { addresses }

      # The address is shown once.
      post '/api/agenda' do
        made = archive.links.make_agenda(someone![:id])
        status 201
        json(id: made[:id], address: "#{request.base_url}/api/agenda/#{made[:token]}.ics")
      end

      delete '/api/agenda/:id' do |id|
        link = archive.links.find(id)
        archive.links.revoke(id) if link && link.values_at(:kind, :person_id) == ['agenda', someone![:id]]
        addresses
      end

      private

      def addresses
        links = archive.links.agendas(someone![:id])
        json(links: links.map { |link| { id: link[:id], made_at: ms(link[:made_at]), expires_at: nil } })
      end

      # @param task [Symbol] that makes it, see {Aside::Tasks}
      def file(name, task, as: 'attachment', **of)
        content_type TYPE
        plain = Core::Materials::FileName.plain(name)
        headers 'Content-Disposition' => %(#{as}; filename="#{plain}.ics"), 'Cache-Control' => 'private, no-store'
        aside(task, address: request.base_url, name: name, now: hub.clock.call, **of)
      end

      def not_invited = Core::Refusal.new(:not_invited, 'You do not belong to this course.')
    end
  end
end
