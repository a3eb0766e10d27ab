# frozen_string_literal: true

module Veranda
  module Live
    # How a peer is told of streams: all of them when it arrives, and those that it gains or loses later. Runs between batches, so that what
    # a peer is told and what it hears next meet exactly.
    class Greetings
      # Beyond this many entries a snapshot is taken to be smaller than what was missed.
      CATCH_UP = 300
      LOST = 'That board is no longer open to you.'
      private_constant :LOST

      # @param log [Store::Log]
      # @param listeners [Listeners]
      # @param views [Views]
      # @param here [#call] whether a peer is still there
      def initialize(log, listeners, views: Views.new, here: ->(_peer) { true })
        @log = log
        @listeners = listeners
        @views = views
        @here = here
      end

      # @param streams [Array<String>] all that they may read
      # @param seen [Hash{String => Integer}] last seq that they have of each stream
      def greet(peer, performer, streams, seen)
        since = []
        parts = streams.map { |stream| part(stream, performer.copy(stream), seen[stream], since) }
        # Large ones take a while.
        return unless @here.call(peer)

        peer.welcomed = true
        streams.each { |stream| @listeners.add(stream, peer) }
        you = { id: peer.person.id, name: peer.person.name, role: peer.person.role, staff: peer.person.staff? }
        peer.send_message(since, t: 'welcome', v: Protocol::VERSION, you: you, rights: plain(peer.rights), streams: parts)
      end

      # Tells a peer all its streams afresh.
      def again(peer, performer) = greet(peer, performer, @listeners.streams_of(peer), {})

      # Brings what a peer follows in line with what they may read now.
      # @param readable [Array<String>]
      # @param quietly [Boolean] whether it was they who wished it
      def adjust(peer, performer, readable, quietly: false)
        present = @listeners.streams_of(peer)
        gain(peer, performer, readable - present)
        lose(peer, present - readable, quietly: quietly)
      end

      # @param rights [Hash] as {Allowances} makes them
      def send_rights(peer, rights)
        return if peer.rights == rights

        peer.rights = rights
        peer.send_message(t: 'rights', rights: plain(rights))
      end

      private

      # What was missed of a stream, or all of it when that is less.
      # @param since [Array<String>] takes what follows it
      def part(stream, copy, seen, since)
        missed = seen.is_a?(Integer) && seen.between?(0, copy.seq) ? copy.seq - seen : nil
        return whole(stream, copy, since) if missed.nil? || missed > CATCH_UP

        # Another process may have added more by now; that comes as entries.
        entries = missed.zero? ? [] : @log.entries(stream, after: seen, last: copy.seq)
        { stream: stream, head: copy.seq, entries: entries.map { |entry| Frames.plain(entry) } }
      end

      def whole(stream, copy, since)
        view = @views.of(copy)
        since.concat(view.since)
        { stream: stream, head: view.seq, view: JSON::Fragment.new(view.json) }
      end

      def gain(peer, performer, streams)
        streams.each do |stream|
          gained = whole(stream, performer.copy(stream), since = [])
          break unless @here.call(peer)

          @listeners.add(stream, peer)
          peer.send_message(since, t: 'gained', **gained)
        end
      end

      def lose(peer, streams, quietly:)
        streams.each do |stream|
          @listeners.remove(stream, peer)
          says = LOST if stream.start_with?('board/') && !quietly && !of_room?(stream)
          peer.send_message(**{ t: 'lost', stream: stream, says: says }.compact)
        end
      end

      # Who goes out of a room knows it.
      def of_room?(stream) = !Core::Rooms::Activities.room_of_board(Core::Streams::StreamName.id(stream)).nil?

      def plain(rights) = rights.transform_values { |answers| answers.transform_values(&:to_h) }
    end
  end
end
