# frozen_string_literal: true

module Veranda
  module Http
    # Who a request comes from: someone with an account, someone let in by a link, or nobody. A session has an id of its own, and
    # once it was ended no copy of its cookie is good for anything.
    class Visitor
      # @param session [Hash]
      # @param archive [Store::Archive]
      # @param slides [#call] see {Preparing::Reader}
      def initialize(session, archive, slides: ->(_, _) { [] })
        @session = session
        @archive = archive
        @slides = slides
      end

      # @return [Hash, nil] `{ id:, name: }`
      def person
        return @person if defined?(@person)

        @person = @archive.people.in_session(**@session.to_h.slice('account_id', 'person_id', 'sid').transform_keys(&:to_sym))
      end

      # @return [String, nil]
      def session_id = @session['sid']

      # Goes on as the person a link names.
      def enter_as(person_id)
        @session.clear
        @session['person_id'] = person_id
        @session['sid'] = Store::Ids.call
        remove_instance_variable(:@person) if defined?(@person)
      end

      # Remembers a link to a recording, for as long as it is good.
      def may_watch(link) = @session['watches'] = [*@session['watches'], link[:id]].last(20)

      # @return [Boolean] whether a link that was opened here is still good for the recording
      def watches?(sitting_id) = links_to(sitting_id).any?

      # @return [Array(Integer, Integer), nil] the stretch that one may watch by link, from and to, either nil where it has no end; nil
      #   where one may watch all. Of several links the one that was opened last counts.
      def stretch(sitting_id)
        links = links_to(sitting_id)
        last = links.max_by { |link| Array(@session['watches']).rindex(link[:id]) } or return
        stretch = last.values_at(:only_from, :only_to)
        stretch if stretch.any? && links.all? { |link| link[:only_from] || link[:only_to] }
      end

      # @return [String] by which it is known what was watched here: the person's id, else one of this browser
      def watcher = person ? person[:id] : @session['watcher'] ||= Store::Ids.call

      # @return [Preparing::Reader] what the visitor may read
      def reader
        @reader ||= Preparing::Reader.new(@archive, person, watches: method(:watches?), stretch: method(:stretch), slides: @slides)
      end

      # @param lesson [Hash]
      # @return [Core::Person, nil] the visitor in their role there
      def in_lesson(lesson) = person && reader.in_lesson(lesson)

      private

      def links_to(sitting_id, now: Time.now)
        @links ||= @archive.links.find_all(Array(@session['watches']))
        @links.select do |link|
          link[:sitting_id] == sitting_id && link[:revoked_at].nil? && (link[:expires_at].nil? || link[:expires_at] > now) &&
            (person || !link[:accounts_only])
        end
      end
    end
  end
end
