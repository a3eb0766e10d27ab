# frozen_string_literal: true

module Veranda
  module Live
    # What a peer is told when it arrives, when what it may read or do changes, and after it fell behind.
    # Runs between batches, so that what a peer is told and what it hears next meet exactly.
    class Welcomes
      include Terse

      # Beyond this many entries a snapshot is taken to be smaller than what was missed.
      CATCH_UP = 300
      LOST = 'That board is no longer open to you.'
      private_constant :LOST

      # @param archive [Store::Archive]
      # @param listeners [Listeners]
      # @param clock [#call] ms since the epoch
      # @param stood [#call] is told of whoever came, went to another place, or may do other things than before
      def initialize(archive, listeners, clock:, stood: ->(_peer) {})
        @archive = archive
        @listeners = listeners
        @clock = clock
        @stood = stood
        @allowances = Allowances.new(archive)
      end

      # @return [Core::Refusal, nil] why somebody has no part in the class they ask for
      def turned_away(peer, performer)
        sitting, staff = facts(peer, performer)
        return if Core::Access.standing(peer.person, sitting, staff)
        return Core::Refusal.new(:removed, Core::Sittings::Join::REMOVED) if staff.removed.key?(peer.person.id)
        return Core::Refusal.new(:class_ended, 'This class has ended.') if sitting.ended?

        Core::Refusal.new(:not_invited, 'You are not invited to this class. Ask for its link.')
      end

      # Someone prepares a lesson, with all its boards, or looks into it outside of class, with those that are open.
      def prepare(peer, performer, seen, lesson)
        boards = boards_for(peer, lesson)
        peer.rights = @allowances.in_lesson(peer, boards, performer, lesson)
        greet(peer, performer, boards.keys, seen)
      end

      # After boards were added or changed.
      # @param peers [Array<Peer>] who are in no class
      def review_lesson(peers, performer, lesson)
        peers.select(&:welcomed).each do |peer|
          boards = boards_for(peer, lesson)
          adjust(peer, performer, boards.keys)
          send_rights(peer, @allowances.in_lesson(peer, boards, performer, lesson))
        end
      end

      # Someone is in a class: what they may read of it.
      def teach(peer, performer, seen)
        sitting, staff = facts(peer, performer)
        peer.rights = @allowances.in_class(peer, sitting, staff, performer)
        stand(peer, sitting, performer)
        greet(peer, performer, readable(peer, sitting, staff, performer), seen)
        tell_timing(sitting, staff, [peer]) if sitting.open?
      end

      # Tells a peer all its streams afresh.
      def again(peer, performer)
        greet(peer, performer, @listeners.streams_of(peer), {})
      end

      # Brings the streams and rights of some peers of a class in line with the rules.
      # @param peers [Array<Peer>]
      def review(peers, performer)
        peers.select(&:welcomed).each do |peer|
          sitting, staff = facts(peer, performer)
          adjust(peer, performer, readable(peer, sitting, staff, performer))
          tell_rights(peer, performer)
        end
      end

      # Tells a peer of a class what it may do, if that is other than before.
      def tell_rights(peer, performer)
        return unless peer.welcomed

        sitting, staff = facts(peer, performer)
        stood = how_stands(peer)
        send_rights(peer, @allowances.in_class(peer, sitting, staff, performer))
        stand(peer, sitting, performer)
        @stood.call(peer) if stood != how_stands(peer)
      end

      # Somebody looks at what they may read and are not told by themselves, as staff do at everybody's copies; and no longer at others.
      # @param streams [Array<String>] all that they look at from now on
      def follow(peer, streams, performer)
        sitting, staff = facts(peer, performer)
        peer.following = streams
        adjust(peer, performer, readable(peer, sitting, staff, performer), quietly: true)
      end

      # @return [Boolean] whether a peer of a class may read a stream of it now
      def reads?(peer, stream, performer)
        sitting, staff = facts(peer, performer)
        own = performer.copy(Core::Streams::StreamName.own(sitting.id, peer.person.id)).state
        Core::Access.reads?(peer.person, sitting, staff, stream, own)
      end

      # @return [Boolean] whether a peer may do something on a stream, as it was last told
      def may?(peer, right, stream)
        answers = peer.rights[stream] || peer.rights[place_of(peer, stream)]
        (answers && answers[right]&.allowed?) || false
      end

      # How the class goes against its plan: to everyone in it, and to staff with what could be squeezed.
      # @param peers [Array<Peer>]
      def tell_timing(sitting, staff, peers = @listeners.to(Core::Streams::StreamName.sitting(sitting.id)))
        timing = Core::Lessons::Timing.new(sitting, @clock.call, shortest: staff.shortest)
        facts = { t: 'timing', stream: Core::Streams::StreamName.sitting(sitting.id), timing: timing.to_h }
        for_all = Frames.message(**facts)
        for_staff = nil
        peers.each do |peer|
          for_staff ||= Frames.message(**facts, timing: timing.to_h.merge(squeeze: timing.squeeze)) if peer.person.staff?
          peer.outbox.push_transient(peer.person.staff? ? for_staff : for_all)
        end
      end

      private

      def stand(peer, sitting, performer) = peer.standing = @allowances.standing(peer, sitting, performer)
      def how_stands(peer) = [peer.standing, peer.rights]

      def facts(peer, performer)
        names = Core::Streams::StreamName
        [names.sitting(peer.sitting_id), names.staff(peer.sitting_id)].map { |name| performer.copy(name).state }
      end

      def readable(peer, sitting, staff, performer)
        own = performer.copy(Core::Streams::StreamName.own(sitting.id, peer.person.id)).state
        followed = peer.following.select { |stream| Core::Access.reads?(peer.person, sitting, staff, stream, own) }
        Core::Access.streams(peer.person, sitting, staff, own) | followed
      end

      # @return [Hash{String => Hash}] boards by stream
      def boards_for(peer, lesson)
        return {} if !peer.person.staff? && @archive.sittings.turned_out?(lesson[:id], peer.person.id)

        boards = @archive.lessons.boards(lesson[:id])
        boards += @archive.own_copies.of_lesson(lesson[:id], person: peer.person.id) unless peer.person.staff?
        boards = boards.select { |board| Core::Access.board?(peer.person, board) }
        boards.to_h { |board| [Core::Streams::StreamName.board(board[:id]), board] }
      end

      # @return [String, nil] the place whose rules a stream is under
      def place_of(peer, stream)
        return unless peer.sitting_id

        Core::Streams::Concern.new(stream, sitting_id: peer.sitting_id, by: peer.person.id, input: {}).name(:place)
      end

      def adjust(peer, performer, readable, quietly: false)
        present = @listeners.streams_of(peer)
        gain(peer, performer, readable - present)
        lose(peer, present - readable, quietly: quietly)
      end

      def greet(peer, performer, streams, seen)
        peer.welcomed = true
        parts = streams.map { |stream| part(stream, performer.copy(stream), seen[stream]) }
        streams.each { |stream| @listeners.add(stream, peer) }
        you = { id: peer.person.id, name: peer.person.name, role: peer.person.role, staff: peer.person.staff? }
        peer.send_message(t: 'welcome', v: Protocol::VERSION, you: you, rights: plain(peer.rights), streams: parts)
      end

      # What was missed of a stream, or all of it when that is less.
      def part(stream, copy, seen)
        missed = seen.is_a?(Integer) && seen.between?(0, copy.seq) ? copy.seq - seen : nil
        return { stream: stream, head: copy.seq, view: copy.state.view } if missed.nil? || missed > CATCH_UP

        # Another process may have added more by now; that comes as entries.
        entries = missed.zero? ? [] : @archive.log.entries(stream, after: seen, last: copy.seq)
        { stream: stream, head: copy.seq, entries: entries.map { |entry| Frames.plain(entry) } }
      end

      def gain(peer, performer, streams)
        streams.each do |stream|
          copy = performer.copy(stream)
          @listeners.add(stream, peer)
          peer.send_message(t: 'gained', stream: stream, head: copy.seq, view: copy.state.view)
        end
      end

      # @param quietly [Boolean] whether it was they who wished it
      def lose(peer, streams, quietly:)
        streams.each do |stream|
          @listeners.remove(stream, peer)
          says = LOST if stream.start_with?('board/') && !quietly && !of_room?(stream)
          peer.send_message(**{ t: 'lost', stream: stream, says: says }.compact)
        end
      end

      # Who goes out of a room knows it.
      def of_room?(stream) = !Core::Rooms::Activities.room_of_board(Core::Streams::StreamName.id(stream)).nil?

      def send_rights(peer, rights)
        return if peer.rights == rights

        peer.rights = rights
        peer.send_message(t: 'rights', rights: plain(rights))
      end

      def plain(rights) = rights.transform_values { |answers| answers.transform_values(&:to_h) }
    end
  end
end
