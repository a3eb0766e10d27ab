# frozen_string_literal: true

require 'set'

module Veranda
  module Live
    # Everyone connected to one lesson, or to a class of it, in this process. Joins the lane
    # (what happens) to the listeners (who is told), and keeps each peer subscribed to exactly
    # the streams that {Core::Streams::Audience} lets them read.
    class Gathering
      # Kinds of entries after which audiences or rights may be different.
      TURNING_POINTS = %w[planned opened moved ended ruled].freeze

      # @param lesson [Hash]
      # @param hub [Hub]
      def initialize(lesson, hub)
        @lesson = lesson
        @hub = hub
        @listeners = Listeners.new
        @peers = Set.new
        @performer = Store::Performer.new(hub.archive.log) { |entry| publish(entry) }
        @lane = Lane.new(@performer, clock: hub.clock)
        @transients = Transients.new { |stream, json| send_transient(stream, json, pass_on: true) }
        @welcomes = Welcomes.new(hub.archive, @listeners)
      end

      # Works for ever; run it in a task of its own.
      # @param task [Async::Task]
      def run(task)
        @task = task
        task.async { |child| @transients.run(child) }
        @lane.run
      end

      # @return [Boolean] whether nobody was here and nothing under way, now and when last asked
      def deserted?
        before = @quiet
        @quiet = @peers.empty? && @lane.idle?
        before && @quiet
      end

      def stop = @task&.stop

      # @return [Array<String>] ids of the classes that someone is connected to
      def sittings = @listeners.streams.filter_map { |stream| stream.delete_prefix('sitting/') if stream.start_with?('sitting/') }

      # Subscribes a peer and tells it everything it has missed.
      # @param seen [Hash{String => Integer}] last seq it has of each stream
      def welcome(peer, seen)
        @peers << peer
        return @lane.visit { |performer| @welcomes.prepare(peer, performer, seen, @lesson) } unless peer.sitting_id

        join = internal_order('class.join', peer.sitting_id, peer.person)
        @hub.presence.arrive(peer.sitting_id, peer.person.id)
        @lane.submit(join) do |outcome|
          next peer.send_message(t: 'error', code: outcome.refusal.code, says: outcome.refusal.says) if refused_for_good?(outcome)

          @lane.visit { |performer| @welcomes.teach(peer, performer, seen) }
        end
      end

      # Tells a peer that read too slowly the present state of all its streams.
      def resynchronise(peer)
        @lane.visit do |performer|
          peer.outbox.resume
          @welcomes.again(peer, performer)
        end
      end

      # @param order [Store::Order]
      # @param peer [Peer]
      def submit(order, peer, &)
        raise Core::Refusal.new(:no_access, 'That board or class is not open to you.') unless @listeners.listens?(order.stream, peer)

        order.outside = outside(order) unless order.sitting || order.by.staff?
        @lane.submit(order, &)
      end

      # Brings everyone who prepares, or works outside of class, in line with the lesson's boards.
      def review = @lane.visit { |performer| @welcomes.review_lesson(peers.reject(&:sitting_id), performer, @lesson) }

      # Something the server itself saw happen to a person in a class.
      # @param wire_name [String]
      def observe(wire_name, sitting_id, person) = @lane.submit(internal_order(wire_name, sitting_id, person))

      # @yieldparam sitting [Core::Sittings::Sitting] as committed
      def look(sitting_id)
        @lane.visit { |performer| yield performer.copy(Core::Streams::StreamName.sitting(sitting_id)).state }
      end

      def transient(peer, stream, kind, body)
        return unless @listeners.listens?(stream, peer)
        return unless kind == 'typing' ? peer.rights&.dig(:post, :allowed) : peer.rights&.dig(:draw, :allowed)

        @transients.add(stream, peer.person.id, kind, body)
      end

      # @param stream [String]
      # @param json [String]
      # @param pass_on [Boolean] whether other processes have yet to hear of it
      def send_transient(stream, json, pass_on: false)
        bytes = Frames.text(json)
        @listeners.to(stream).each { |peer| peer.outbox.push_transient(bytes) }
        @hub.pass_on(stream, json) if pass_on
      end

      # Another process has added to a stream.
      # @param seq [Integer, nil] its head as heard; nil to look in any case
      def heard(stream, seq)
        return if seq && !@performer.behind?(stream, seq)

        @lane.visit { |performer| performer.catch_up(stream) if seq.nil? || performer.behind?(stream, seq) }
      end

      # @return [Array<String>] streams that somebody here follows
      def streams = @listeners.streams

      # How each class goes against its plan, told to all who are in it.
      def tell_timing
        sittings.each { |id| look(id) { |sitting| send_timing(sitting) if sitting.open? } }
      end

      # @param on_purpose [Boolean] whether they said goodbye
      def part(peer, on_purpose:)
        @peers.delete(peer)
        @listeners.remove_everywhere(peer)
        @hub.presence.part(self, peer.sitting_id, peer.person, on_purpose: on_purpose) if peer.sitting_id
      end

      # @return [Array<Peer>] everyone connected, also those to whom no stream is open yet
      def peers = @peers.to_a

      private

      def refused_for_good?(outcome) = outcome.refusal && outcome.refusal.code != :class_ended

      # @return [String] what students may do with the board of an order when there is no class
      def outside(order)
        board = @hub.archive.lessons.board(Core::Streams::StreamName.id(order.stream))
        Core::Lessons::Outside.reads?(board) ? board[:outside] : 'closed'
      end

      def internal_order(wire_name, sitting_id, person)
        Store::Order.of(wire_name, {}, stream: Core::Streams::StreamName.sitting(sitting_id), by: person)
      end

      def publish(entry)
        bytes = Frames.entry(entry)
        @listeners.to(entry.stream).each { |peer| peer.outbox.push(bytes) }
        return unless Core::Streams::StreamName.kind(entry.stream) == :sitting

        # Not here and now: the state may hold more than this entry until the batch is through.
        @lane.visit { |performer| turn(entry, performer) }
      end

      def turn(entry, performer)
        sitting = performer.copy(entry.stream).state
        @welcomes.review(sitting, performer) if TURNING_POINTS.include?(entry.kind)
        send_timing(sitting) unless %w[joined dropped left hand_raised hand_lowered].include?(entry.kind)
        @hub.keep_all(sitting, performer) if entry.kind == 'ended'
      end

      def send_timing(sitting)
        stream = Core::Streams::StreamName.sitting(sitting.id)
        timing = Core::Lessons::Timing.new(sitting, @hub.clock.call).to_h
        bytes = Frames.message(t: 'timing', stream: stream, timing: timing)
        @listeners.to(stream).each { |peer| peer.outbox.push_transient(bytes) }
      end
    end
  end
end
