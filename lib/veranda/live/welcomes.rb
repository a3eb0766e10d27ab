# frozen_string_literal: true

module Veranda
  module Live
    # What a peer is told when it arrives, when its audience changes, and after it fell behind.
    # Runs between batches, so that what a peer is told and what it hears next meet exactly.
    class Welcomes
      # Beyond this many entries a snapshot is taken to be smaller than what was missed.
      CATCH_UP = 300

      def initialize(archive, listeners)
        @archive = archive
        @listeners = listeners
      end

      # Someone prepares a lesson, with all its boards, or looks into it outside of class, with those that are open.
      def prepare(peer, performer, seen, lesson)
        boards = boards_for(peer, lesson)
        peer.rights = lesson_rights(peer, boards)
        greet(peer, performer, streams_of(boards), seen)
      end

      # After boards were added or changed.
      # @param peers [Array<Peer>] who are in no class
      def review_lesson(peers, performer, lesson)
        peers.each do |peer|
          boards = boards_for(peer, lesson)
          adjust(peer, performer, streams_of(boards))
          tell_rights(peer, lesson_rights(peer, boards))
        end
      end

      # Someone is in a class: what they may read of it.
      def teach(peer, performer, seen)
        sitting = sitting_of(peer, performer)
        peer.rights = rights(peer.person, sitting)
        greet(peer, performer, Core::Streams::Audience.readable(peer.person, sitting), seen)
      end

      # Tells a peer all its streams afresh.
      def again(peer, performer)
        greet(peer, performer, @listeners.streams_of(peer), {})
      end

      # After a turning point, brings everyone's streams and rights in line with the rules.
      # @param sitting [Core::Sittings::Sitting]
      def review(sitting, performer)
        @listeners.to(Core::Streams::StreamName.sitting(sitting.id)).each do |peer|
          adjust(peer, performer, Core::Streams::Audience.readable(peer.person, sitting))
          tell_rights(peer, rights(peer.person, sitting))
        end
      end

      private

      def boards_for(peer, lesson)
        boards = @archive.lessons.boards(lesson[:id])
        peer.person.staff? ? boards : boards.select { |board| Core::Lessons::Outside.reads?(board) }
      end

      def streams_of(boards) = boards.map { |board| Core::Streams::StreamName.board(board[:id]) }

      # One may draw somewhere as soon as one board allows it; each command is judged by its own board.
      def lesson_rights(peer, boards)
        outside = boards.map { |board| board[:outside] }.max || 'closed'
        Core::Rights::RIGHTS.keys.to_h do |right|
          [right, Core::Rights::Ask.call(right, by: peer.person, sitting: nil, outside: outside)]
        end
      end

      def adjust(peer, performer, readable)
        present = @listeners.streams_of(peer).sort
        gain(peer, performer, readable - present)
        lose(peer, present - readable)
      end

      def sitting_of(peer, performer) = performer.copy(Core::Streams::StreamName.sitting(peer.sitting_id)).state

      def rights(person, sitting)
        Core::Rights::RIGHTS.keys.to_h { |right| [right, Core::Rights::Ask.call(right, by: person, sitting: sitting)] }
      end

      def greet(peer, performer, streams, seen)
        known = streams.to_h { |stream| [stream, performer.copy(stream)] }
        parts = known.map { |stream, copy| part(stream, copy, seen[stream]) }
        streams.each { |stream| @listeners.add(stream, peer) }
        you = { id: peer.person.id, name: peer.person.name, role: peer.person.role, staff: peer.person.staff? }
        peer.send_message(t: 'welcome', v: Protocol::VERSION, you: you, rights: plain(peer.rights), streams: parts)
      end

      # What was missed of a stream, or all of it when that is less.
      def part(stream, copy, seen)
        missed = seen.is_a?(Integer) && seen.between?(0, copy.seq) ? copy.seq - seen : nil
        return { stream: stream, head: copy.seq, view: copy.state.view } if missed.nil? || missed > CATCH_UP

        entries = missed.zero? ? [] : @archive.log.entries(stream, after: seen)
        { stream: stream, head: copy.seq, entries: entries.map { |entry| plain_entry(entry) } }
      end

      def plain_entry(entry)
        { seq: entry.seq, at: entry.at, by: entry.actor, kind: entry.kind, body: entry.body, cmd: entry.command_id }
      end

      def gain(peer, performer, streams)
        streams.each do |stream|
          copy = performer.copy(stream)
          @listeners.add(stream, peer)
          peer.send_message(t: 'gained', stream: stream, head: copy.seq, view: copy.state.view)
        end
      end

      def lose(peer, streams)
        streams.each do |stream|
          @listeners.remove(stream, peer)
          peer.send_message(t: 'lost', stream: stream, says: 'That board is no longer open to you.')
        end
      end

      def tell_rights(peer, rights)
        return if peer.rights == rights

        peer.rights = rights
        peer.send_message(t: 'rights', rights: plain(rights))
      end

      def plain(rights) = rights.transform_values(&:to_h)
    end
  end
end
