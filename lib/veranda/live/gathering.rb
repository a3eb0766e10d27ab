# frozen_string_literal: true

module Veranda
  module Live
    # Everyone connected to one lesson, or to a class of it, in this process.
    class Gathering < Company
      # Commands after which there is something to count.
      WATCHED = [Core::Polls::AnswerPoll, Core::Questions::Ask, Core::Questions::Vote, Core::Questions::Merge].freeze

      # @return [Hash] `{ id:, course_id:, … }`
      attr_reader :lesson

      # @param lesson [Hash]
      # @param hub [Hub]
      def initialize(lesson, hub)
        super(hub)
        @lesson = lesson
        @transients = Transients.new(near: method(:send_transient), far: hub.method(:pass_on))
        @welcomes = Welcomes.new(hub.archive, @greetings, @listeners, clock: hub.clock, stood: ->(peer) { hub.stage.stand(peer) })
        @door = LessonDoor.new(self, lesson, lane: @lane, welcomes: @welcomes)
        @materials = NamedMaterials.new(hub.archive)
        @plan_names = NamedInPlan.new(hub.archive, lesson[:id])
        @aftermath = Aftermath.new(self, lane: @lane, welcomes: @welcomes, door: @door)
        @rounds = Rounds.new(self, welcomes: @welcomes)
        @poll_watch = PollWatch.new(self)
        @arrivals = Arrivals.new(self)
      end

      # Works for ever; run it in a task of its own.
      # @param task [Async::Task]
      def run(task)
        task.async { |child| @transients.run(child) }
        task.async { |child| @poll_watch.run(child) }
        super
      end

      # @return [Array<String>] ids of the classes that someone is connected to
      def sittings = @peers.filter_map(&:sitting_id).uniq

      # Subscribes a peer and tells it everything it has missed. One that cannot be told is hung up on: it comes again by itself, and would
      # wait for ever for an answer on a line that is open.
      # @param seen [Hash{String => Integer}] last seq it has of each stream
      def welcome(peer, seen)
        @peers << peer
        return @door.come(peer, seen) unless peer.sitting_id

        @lane.visit(given_up: peer.method(:close)) do |performer|
          refusal = @welcomes.turned_away(peer, performer)
          next peer.fault(refusal) if refusal

          peer.unseen? ? look_in(peer, performer, seen) : join(peer, seen)
        end
      end

      # @param streams [Array<String>] what somebody looks at besides
      def follow(peer, streams)
        return unless peer.sitting_id

        @lane.visit(given_up: peer.method(:close)) do |performer|
          @welcomes.follow(peer, streams, performer) if here?(peer) && peer.welcomed
        end
      end

      # @param order [Deciding::Order]
      # @param peer [Peer]
      def submit(order, peer, &)
        listens!(order.stream, peer)
        @door.stand(order) unless peer.sitting_id || order.by.staff?
        order.command <= Core::Lessons::PlanCommand ? @plan_names.check!(order) : @materials.check!(order)
        return super unless WATCHED.include?(order.command)

        @lane.submit(order) do |outcome|
          @poll_watch.answered(order.stream) unless outcome.refusal
          yield outcome
        end
      end

      # Brings everyone who prepares, or works outside of class, in line with the lesson's boards.
      def review = @lane.visit { |performer| @door.review(performer) }

      # Something the server itself saw happen to a person in a class, or does for them.
      # @param wire_name [String]
      # @param on [String] the stream, unless it is that of the class
      # @param input [Hash]
      def observe(wire_name, sitting_id, person, on: Core::Streams::StreamName.sitting(sitting_id), **input)
        @lane.submit(Deciding::Order.of(wire_name, input.transform_keys(&:to_s), stream: on, by: person))
      end

      # @param more [Array<String>] further streams
      # @yieldparam sitting [Core::Sittings::Sitting] as committed
      # @yieldparam staff [Core::Sittings::StaffFacts]
      def look(sitting_id, *more)
        names = Core::Streams::StreamName
        streams = [names.sitting(sitting_id), names.staff(sitting_id), *more]
        @lane.visit { |performer| yield(*streams.map { |name| performer.copy(name).state }, performer) }
      end

      # @param kind [String] see {Glimpse}
      # @param body [Hash] checked
      def glimpse(peer, stream, kind, body)
        return unless @listeners.listens?(stream, peer) && may_glimpse?(peer, stream, Glimpse::RIGHTS.fetch(kind))

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

      # @param stream [String] of a poll whose answers are others now
      def poll_changed(stream) = @poll_watch.answered(stream)

      # What comes every few seconds, and every second.
      def keep_time = @rounds.keep_time
      def keep_rooms = @rounds.keep_rooms

      # @param on_purpose [Boolean] whether they said goodbye
      def part(peer, on_purpose:)
        super
        @hub.stage.part(peer)
        @hub.presence.part(self, peer.sitting_id, peer.person, on_purpose: on_purpose) if peer.sitting_id
      end

      # A class of the lesson is heard of, see {LessonDoor#follow}.
      # @param sitting_id [String]
      def follow_class(sitting_id) = @door.follow(sitting_id)

      # Somebody who comes has their turn. What goes wrong then is over with their line.
      # @param peer [Peer]
      # @param seen [Hash{String => Integer}]
      def take_turn(peer, seen)
        @lane.visit(given_up: peer.method(:close)) { come_in(peer, seen) if here?(peer) }
      end

      # @param sitting_id [String]
      # @return [Array<Peer>] everyone connected to a class
      def peers_in(sitting_id) = @peers.select { |peer| peer.sitting_id == sitting_id }

      private

      # Nobody is told, and no seat is taken.
      def look_in(peer, performer, seen) = (@welcomes.teach(peer, performer, seen) if here?(peer))

      def join(peer, seen)
        return unless here?(peer)

        @hub.presence.arrive(peer.sitting_id, peer.person.id)
        @arrivals.add(peer, seen)
      end

      # Whoever comes while the database is away is not turned away for that.
      def come_in(peer, seen)
        stream = Core::Streams::StreamName.sitting(peer.sitting_id)
        @lane.submit(Deciding::Order.of('class.join', link_of(peer), stream: stream, by: peer.person)) do |outcome|
          next soon { come_in(peer, seen) if here?(peer) } if outcome.refusal&.code == :not_saved
          next peer.fault(outcome.refusal) if refused_for_good?(outcome)

          @lane.visit(given_up: peer.method(:close)) { |performer| @welcomes.teach(peer, performer, seen) if here?(peer) }
        end
      end

      # A guest may come anew by the link by which another one had come, who was removed.
      def link_of(peer)
        return {} unless peer.person.role == 'guest'

        { 'link_of' => @hub.archive.sittings.removed_by_link(peer.sitting_id, @lesson[:id], peer.person.id) }.compact
      end

      def soon
        @hub.background do
          sleep Lane::PAUSE
          yield
        end
      end

      def refused_for_good?(outcome) = outcome.refusal && outcome.refusal.code != :class_ended

      # Nobody but whoever leads a place moves the view of the others.
      def may_glimpse?(peer, stream, right)
        return @welcomes.may?(peer, right, stream) unless right == :lead

        Core::Streams::StreamName.kind(stream) == :place && @performer.copy(stream).state.leader == peer.person.id
      end

      def follow_up(entry) = @aftermath.of(entry)

      # Whoever was turned out is let go of between batches. Until that is done they are told nothing that is not theirs any more.
      def readers(stream)
        peers = super
        return peers unless @aftermath.reviewing?

        peers.select do |peer|
          peer.sitting_id ? @welcomes.reads?(peer, stream, @performer) : !@door.turned_out?(peer, @performer)
        end
      end
    end
  end
end
