# frozen_string_literal: true

module Veranda
  module Live
    # What a peer of a lesson or a class is told when it arrives, and when what it may read or do changes.
    class Welcomes
      include Terse

      # @param archive [Store::Archive]
      # @param greetings [Greetings]
      # @param listeners [Listeners]
      # @param clock [#call] ms since the epoch
      # @param stood [#call] is told of whoever came, went to another place, or may do other things than before
      def initialize(archive, greetings, listeners, clock:, stood: ->(_peer) {})
        @archive = archive
        @greetings = greetings
        @listeners = listeners
        @clock = clock
        @stood = stood
        @allowances = Allowances.new(archive)
      end

      # @return [Core::Refusal, nil] why somebody has no part in the class they ask for
      def turned_away(peer, performer)
        sitting, staff = facts(peer, performer)
        return if Core::Access::InClass.new(peer.person, sitting, staff).standing
        return Core::Refusal.new(:removed, Core::Sittings::Join::REMOVED) if staff.removed.key?(peer.person.id)
        return Core::Refusal.new(:class_ended, 'This class has ended.') if sitting.ended?

        Core::Refusal.new(:not_invited, 'You are not invited to this class. Ask for its link.')
      end

      # Someone prepares a lesson, with all its boards, or looks into it outside of class, with those that are open.
      def prepare(peer, performer, seen, lesson)
        boards = boards_for(peer, lesson)
        peer.rights = @allowances.in_lesson(peer, boards, performer, lesson)
        @greetings.greet(peer, performer, in_lesson(peer, lesson, boards), seen)
      end

      # After boards were added or changed.
      # @param peers [Array<Peer>] who are in no class
      def review_lesson(peers, performer, lesson)
        peers.select(&:welcomed).each do |peer|
          boards = boards_for(peer, lesson)
          @greetings.adjust(peer, performer, in_lesson(peer, lesson, boards))
          @greetings.send_rights(peer, @allowances.in_lesson(peer, boards, performer, lesson))
        end
      end

      # Someone is in a class: what they may read of it.
      def teach(peer, performer, seen)
        sitting, staff = facts(peer, performer)
        peer.rights = @allowances.in_class(peer, sitting, staff, performer)
        stand(peer, sitting, performer)
        @greetings.greet(peer, performer, readable(peer, sitting, staff, performer), seen)
        tell_timing(sitting, staff, [peer]) if sitting.open?
      end

      # Brings the streams and rights of some peers of a class in line with the rules.
      # @param peers [Array<Peer>]
      def review(peers, performer)
        peers.select(&:welcomed).each do |peer|
          sitting, staff = facts(peer, performer)
          @greetings.adjust(peer, performer, readable(peer, sitting, staff, performer))
          tell_rights(peer, performer)
        end
      end

      # Tells a peer of a class what it may do, if that is other than before.
      def tell_rights(peer, performer)
        return unless peer.welcomed

        sitting, staff = facts(peer, performer)
        stood = how_stands(peer)
        @greetings.send_rights(peer, @allowances.in_class(peer, sitting, staff, performer))
        stand(peer, sitting, performer)
        @stood.call(peer) if stood != how_stands(peer)
      end

      # Somebody looks at what they may read and are not told by themselves, as staff do at everybody's copies; and no longer at others.
      # @param streams [Array<String>] all that they look at from now on
      def follow(peer, streams, performer)
        sitting, staff = facts(peer, performer)
        peer.following = streams
        @greetings.adjust(peer, performer, readable(peer, sitting, staff, performer), quietly: true)
      end

      # @return [Boolean] whether a peer of a class may read a stream of it now
      def reads?(peer, stream, performer)
        sitting, staff = facts(peer, performer)
        own = performer.copy(Core::Streams::StreamName.own(sitting.id, peer.person.id)).state
        Core::Access::InClass.new(peer.person, sitting, staff, own).reads?(stream)
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
        followed = peer.following.select { |stream| Core::Access::InClass.new(peer.person, sitting, staff, own).reads?(stream) }
        Core::Access::InClass.new(peer.person, sitting, staff, own).streams | followed
      end

      def in_lesson(peer, lesson, boards) = Core::Access::InLesson.new(peer.person, lesson[:id]).streams + boards.keys

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
    end
  end
end
