# frozen_string_literal: true

require 'digest'
require 'securerandom'

module Veranda
  module Store
    # Links that let people in without an account. A token is shown once, to whoever made it;
    # kept is only its hash, so a copy of the database opens no door.
    class Links
      def initialize(db)
        @db = db
      end

      # @param kind [String] `personal`, `class` or `recording`
      # @param token [String] 256 random bits unless given
      # @param expires_at [Time, nil]
      # @param more [Hash] of a recording's: `password` (its hash), `accounts_only`, `only_from` and `only_to` (ms since the epoch)
      # @return [Hash] `{ id:, token: }`
      def make(kind, token: SecureRandom.urlsafe_base64(32), person_id: nil, lesson_id: nil, sitting_id: nil, expires_at: nil, **more)
        id = Ids.call
        @db[:links].insert(id: id, token_hash: digest(token), kind: kind, person_id: person_id, lesson_id: lesson_id,
                           sitting_id: sitting_id, expires_at: expires_at, **more)
        { id: id, token: token }
      end

      # @param token [String]
      # @param kinds [Array<String>] kinds that are good here
      # @param now [Time]
      # @return [Hash]
      # @raise [Core::Refusal] `link_unknown`, `link_revoked`, `link_expired`
      def open(token, kinds, now: Time.now)
        link = @db[:links].where(kind: kinds).first(token_hash: digest(token.to_s))
        raise Core::Refusal.new(:link_unknown, 'This link is not complete. Copy all of it and try again.') unless link
        if link[:revoked_at]
          raise Core::Refusal.new(:link_revoked,
                                  'This link has been taken back. Ask your instructor for a new one.')
        end
        if link[:expires_at] && link[:expires_at] < now
          raise Core::Refusal.new(:link_expired, 'This link has expired. Ask your instructor for a new one.')
        end

        link
      end

      # @return [Array<Hash>] links to a recording that were not taken back
      def of_recording(sitting_id) = @db[:links].where(kind: 'recording', sitting_id: sitting_id, revoked_at: nil).order(:made_at).all

      # Addresses by which other calendars read somebody's lessons, at most.
      MOST_AGENDAS = 10

      # @return [Array<Hash>] those that were not taken back: `{ id:, made_at: }`
      def agendas(person_id)
        @db[:links].where(kind: 'agenda', person_id: person_id, revoked_at: nil).order(:made_at).select(:id, :made_at).all
      end

      # @return [Hash] as {#make}
      # @raise [Core::Refusal] `too_many_links`
      def make_agenda(person_id)
        Turn.of(@db, 'agendas', person_id) do
          if agendas(person_id).length >= MOST_AGENDAS
            raise Core::Refusal.new(:too_many_links, 'Take back one of the addresses that you have before you make another.')
          end

          make('agenda', person_id: person_id)
        end
      end

      # @return [Array<Hash>] links into a lesson's classes that are still good: `{ id:, made_at:, expires_at: }`
      def of_lesson(lesson_id)
        @db[:links].where(kind: 'class', lesson_id: lesson_id, revoked_at: nil).where { (expires_at =~ nil) | (expires_at > Sequel::CURRENT_TIMESTAMP) }
                   .order(:made_at).select(:id, :made_at, :expires_at).all
      end

      # @return [Array<Hash>] those of them that there are
      def find_all(ids) = ids.empty? ? [] : @db[:links].where(id: ids).all

      # @return [Hash, nil] the link
      def find(id) = @db[:links].first(id: id)

      def revoke(id)
        @db[:links].where(id: id, revoked_at: nil).update(revoked_at: Sequel::CURRENT_TIMESTAMP)
      end

      private

      def digest(token) = Sequel.blob(Digest::SHA256.digest(token))
    end
  end
end
