# frozen_string_literal: true

module Veranda
  module Http
    # Who am I, and the token that state-changing requests must carry.
    class Sessions < Resource
      # All that somebody did here, for themselves.
      get '/api/everything.zip' do
        person = someone!
        give_away(aside(:everything_of, person: person[:id]), "#{Core::Materials::FileName.plain(person[:name])}.zip", 'application/zip')
      end

      get '/api/session' do
        person = visitor.person
        courses = person ? archive.people.courses(person[:id]) : {}
        json(csrf: Rack::Protection::AuthenticityToken.token(session),
             person: person && { id: person[:id], name: person[:name],
                                 teaches: courses.value?('instructor') || courses.value?('assistant') })
      end

      STICKS = Core::Contract.define do
        required(:sticks).value(:array, min_size?: 1, max_size?: 9).each do
          hash do
            required(:kind).value(:string, included_in?: Core::Boards::Mark::FREEHAND)
            required(:ink).value(:string, included_in?: Core::Boards::Inks::NAMES)
            required(:width).value(Core::Types::Number, :pen_width?)
          end
        end
      end

      # One's own sticks, the same on every board and device; nil for those who have not changed theirs.
      get('/api/sticks') { json(sticks: archive.people.sticks(someone![:id])) }

      patch '/api/sticks' do
        facts = Core::Contract.check(STICKS, input)
        archive.people.keep_sticks(someone![:id], facts[:sticks])
        json(facts)
      end

      # Signing out, for those who came by a link as for those with an account.
      delete '/api/session' do
        end_session(visitor.session_id) if visitor.session_id
        session.clear
        json(person: nil)
      end

      private

      def end_session(sid)
        archive.people.end_session(sid, until_at: Time.now + App::SESSION_LASTS)
        hub.sign_off(sid)
      end
    end
  end
end
