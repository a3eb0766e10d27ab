# frozen_string_literal: true

module Veranda
  module Http
    # Who a request comes from: someone with an account, someone let in by a link, or nobody.
    class Visitor
      # @param session [Hash]
      # @param archive [Store::Archive]
      def initialize(session, archive)
        @session = session
        @archive = archive
      end

      # @return [Hash, nil] `{ id:, name: }`
      def person
        return @person if defined?(@person)

        @person = @archive.people.by_account(@session['account_id']) || @archive.people.find(@session['person_id'])
      end

      # Goes on as the person a link names.
      def enter_as(person_id)
        @session.clear
        @session['person_id'] = person_id
        remove_instance_variable(:@person) if defined?(@person)
      end

      # Remembers a link to a recording, for as long as it is good.
      def may_watch(link) = @session['watches'] = [*@session['watches'], link[:id]].last(20)

      # @return [Boolean] whether a link that was opened here is still good for the recording
      def watches?(sitting_id, now: Time.now)
        Array(@session['watches']).any? do |id|
          link = @archive.links.find(id)
          link && link[:sitting_id] == sitting_id && link[:revoked_at].nil? && (link[:expires_at].nil? || link[:expires_at] > now)
        end
      end

      # @param lesson [Hash]
      # @return [Core::Person, nil] the visitor in their role there
      def in_lesson(lesson) = person && @archive.people.in_lesson(person[:id], lesson)
    end
  end
end
