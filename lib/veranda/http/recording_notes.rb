# frozen_string_literal: true

module Veranda
  module Http
    # What helps somebody to find their way in a recording: how much happened when, what they did themselves, and what they noted.
    class RecordingNotes < Resource
      include OfRecording

      NOTE = Core::Contract.define do
        required(:at).value(:integer, :moment?)
        required(:words).filled(:string, max_size?: Store::Notes::LONGEST)
      end

      get '/api/recordings/:id/happened' do |id|
        _, _, _, staff = watchable(id)
        json(aside(:recording_happened, sitting: id, **viewer(staff).slice(:viewer), **only(id)))
      end

      get('/api/recordings/:id/notes') { |id| notes(id) }

      post '/api/recordings/:id/notes' do |id|
        watchable(id)
        wish = Core::Contract.check(NOTE, input)
        archive.notes.add(id, someone![:id], at: wish[:at], words: wish[:words])
        status 201
        notes(id)
      end

      delete '/api/recordings/:id/notes/:note' do |id, note|
        watchable(id)
        archive.notes.drop(id, someone![:id], note)
        notes(id)
      end

      private

      # Those who came by link alone have none.
      def notes(id)
        watchable(id)
        json(notes: visitor.person ? archive.notes.of(id, visitor.person[:id]) : [])
      end
    end
  end
end
