# frozen_string_literal: true

module Veranda
  module Http
    # Who may watch a recording: the course, and whoever has a link to it.
    class RecordingLinks < Resource
      include OfRecording

      patch '/api/recordings/:id' do |id|
        staff_of_recording!(id)
        archive.recordings.update(id, shared: Core::Contract.check(SHARING, input)[:shared])
        json(shared: archive.recordings.fetch(id)[:shared])
      end

      get('/api/recordings/:id/links') { |id| links(id) }

      post '/api/recordings/:id/links' do |id|
        staff_of_recording!(id)
        wish = Core::Contract.check(LINK, input)
        expires_at = wish[:days] && (Time.now + wish[:days] * 86_400)
        stretch = stretch!(id, wish)
        password = wish[:password] && aside(:password_hash, password: wish[:password])
        made = archive.db.transaction do
          archive.track_parts.want(id) if stretch.any?
          archive.links.make('recording', sitting_id: id, expires_at: expires_at, password: password,
                                          accounts_only: wish[:accounts_only] || false, **stretch)
        end
        status 201
        json(made.merge(expires_at: expires_at && ms(expires_at)))
      end

      delete '/api/recordings/:id/links/:link' do |id, link|
        staff_of_recording!(id)
        archive.links.revoke(link) if archive.links.find(link)&.fetch(:sitting_id) == id
        links(id)
      end

      SHARING = Core::Contract.define { required(:shared).value(:bool) }
      LINK = Core::Contract.define do
        optional(:days).maybe(:integer, gteq?: 1, lteq?: 365)
        optional(:password).maybe(:string, min_size?: 4, max_size?: 200)
        optional(:accounts_only).value(:bool)
        # Only this stretch of the class.
        optional(:from).maybe(:integer, :moment?)
        optional(:to).maybe(:integer, :moment?)
      end

      private

      # @return [Hash] columns of a link
      # @raise [Core::Refusal] `nothing_left`
      def stretch!(id, wish)
        from, to = wish.values_at(:from, :to)
        return {} unless from || to

        left = archive.recordings.recording(archive.recordings.fetch(id)) || raise(archive.recordings.no_such_recording)
        return { only_from: from, only_to: to } if left.only(from, to).clock.length >= Core::Recordings::EditCommand::LEAST

        raise Core::Refusal.new(:nothing_left, 'Nothing was recorded in that stretch. Choose another.')
      end

      def links(id)
        staff_of_recording!(id)
        rows = archive.links.of_recording(id).map do |link|
          { id: link[:id], made_at: ms(link[:made_at]), expires_at: link[:expires_at] && ms(link[:expires_at]),
            password: !link[:password].nil?, accounts_only: link[:accounts_only], from: link[:only_from], to: link[:only_to] }
        end
        json(links: rows)
      end
    end
  end
end
