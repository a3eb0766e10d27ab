# frozen_string_literal: true

module Veranda
  module Http
    # Who watched how much of a recording. Players say so every little while; it is told to staff, and to each where they stopped.
    class RecordingWatching < Resource
      include OfRecording

      MINUTE = 60_000
      # Of a class, that are counted.
      MINUTES = 1_440
      # Told at once.
      MOST = 30
      WATCHED = Core::Contract.define do
        # Where one is, ms since the epoch.
        required(:at).value(:integer, :moment?)
        # Minutes of the class since the one before was told.
        required(:minutes).value(:array, max_size?: MOST).each(:integer, gteq?: 0, lteq?: MINUTES)
      end

      post '/api/recordings/:id/watched' do |id|
        _, recording, = watchable(id)
        wish = Core::Contract.check(WATCHED, input)
        minutes = wish[:minutes].select { |minute| seen?(recording, minute) }
        archive.watching.note(id, visitor.watcher, person_id: visitor.person&.fetch(:id), minutes: minutes.uniq, stopped_at: wish[:at])
        json({})
      end

      get '/api/recordings/:id/watching' do |id|
        staff_of_recording!(id)
        watched = archive.watching.minutes(id)
        people, links = archive.watching.of(id).partition { |row| row[:name] }
        sitting = archive.sittings.state(id)
        raise archive.recordings.no_such_recording unless sitting.ended?

        last = [(sitting.ended_at - sitting.opened_at) / MINUTE, MINUTES].min
        json(people: people.map { |row| { **row, seen_at: ms(row[:seen_at]) } }, by_link: links.length,
             from: sitting.opened_at, minutes: (0..last).map { |minute| watched.fetch(minute, 0) })
      end

      private

      # Nobody has watched what cannot be.
      def seen?(recording, minute)
        from = recording.sitting.opened_at + minute * MINUTE
        recording.clock.overlaps?(from, from + MINUTE)
      end
    end
  end
end
