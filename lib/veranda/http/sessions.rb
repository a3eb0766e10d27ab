# frozen_string_literal: true

module Veranda
  module Http
    # Who am I, and the token that state-changing requests must carry.
    class Sessions < Resource
      get '/api/session' do
        person = visitor.person
        courses = person ? archive.people.courses(person[:id]) : {}
        json(csrf: Rack::Protection::AuthenticityToken.token(session),
             person: person && { id: person[:id], name: person[:name],
                                 teaches: courses.value?('instructor') || courses.value?('assistant') })
      end

      # Signing out, for those who came by a link as for those with an account.
      delete '/api/session' do
        session.clear
        json(person: nil)
      end
    end
  end
end
