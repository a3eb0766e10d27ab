# frozen_string_literal: true

require 'set'

module Veranda
  module Live
    # Everyone connected to one whole (a lesson with its classes, a course) in this process. Joins the lane (what happens) to the listeners
    # (who is told), and keeps each peer subscribed to exactly the streams that {Core::Access} lets them read.
    class Company
      include Terse

      # @return [Hub]
      attr_reader :hub

      # @param hub [Hub]
      def initialize(hub)
        @hub = hub
        @listeners = Listeners.new
        @peers = Set.new.compare_by_identity
        @performer = Deciding::Performer.new(hub.archive.log, alone: hub.method(:alone?)) { |entry| publish(entry) }
        @lane = Lane.new(@performer, clock: hub.clock)
        @views = Views.new
        @greetings = Greetings.new(hub.archive.log, @listeners, views: @views, here: method(:here?))
      end

      # Works for ever; run it in a task of its own.
      # @param task [Async::Task]
      def run(task)
        @task = task
        @lane.run
      end

      def stop = @task&.stop

      # @return [Boolean] whether nobody was here and nothing under way, now and when last asked
      def deserted?
        before = @quiet
        @quiet = @peers.empty? && @lane.idle?
        before && @quiet
      end

      # @return [Boolean] somebody may have gone again while it was not yet their turn
      def here?(peer) = @peers.include?(peer)

      # @return [Array<Peer>] everyone connected, also those to whom no stream is open yet
      def peers = @peers.to_a

      # @return [Array<String>] streams that somebody here follows
      def streams = @listeners.streams

      # @param order [Deciding::Order]
      # @param peer [Peer]
      # @raise [Core::Refusal] `no_access`
      def submit(order, peer, &)
        listens!(order.stream, peer)
        @lane.submit(order, &)
      end

      # Another process has added to a stream.
      # @param seq [Integer, nil] its head as heard; nil to look in any case
      def heard(stream, seq)
        return if seq && !@performer.behind?(stream, seq)

        @lane.visit { |performer| performer.catch_up(stream) if seq.nil? || performer.behind?(stream, seq) }
      end

      # Tells a peer that read too slowly the present state of all its streams.
      def resynchronise(peer)
        @lane.visit(given_up: peer.method(:close)) do |performer|
          peer.outbox.resume
          @greetings.again(peer, performer) if here?(peer)
        end
      end

      # @param on_purpose [Boolean] whether they said goodbye
      def part(peer, on_purpose: false) # rubocop:disable Lint/UnusedMethodArgument -- gatherings keep a seat for those who did not
        @peers.delete(peer)
        # What takes a while may still be under way for them.
        peer.welcomed = false
        @listeners.remove_everywhere(peer)
      end

      # Boards that somebody looks at besides, and what is passed on and not kept: only classes and lessons have these.
      def follow(peer, streams); end
      def glimpse(peer, stream, kind, body); end

      private

      def listens!(stream, peer)
        raise Core::Refusal.new(:no_access, 'That is not open to you.') unless @listeners.listens?(stream, peer)
      end

      def publish(entry)
        bytes = Frames.entry(entry)
        @views.heard(entry, bytes)
        readers(entry.stream).each { |peer| peer.outbox.push(bytes) }
        follow_up(entry)
        ask_snapshot(entry)
      end

      def readers(stream) = @listeners.to(stream)

      # What is to be done here after an entry.
      def follow_up(entry); end

      def ask_snapshot(entry)
        copy = @performer.copy(entry.stream)
        return if entry.seq - copy.kept < Store::Snapshots::EVERY

        due = @hub.archive.log.snapshots.due(copy) or return
        copy.kept = due
        @hub.background { @hub.archive.log.snapshots.want(entry.stream, due) }
      end
    end
  end
end
