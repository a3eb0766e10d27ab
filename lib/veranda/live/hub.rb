# frozen_string_literal: true

require 'async'

module Veranda
  module Live
    # The live side of one server process: its gatherings, the bus to other processes, presence
    # and the regular rounds. Everything runs as fibers of the reactor that {#start} is called in.
    class Hub
      # Seconds between rounds.
      TIMING_EVERY = 5
      SWEEP_EVERY = 10
      # Seconds of silence after which a connection is taken to be dead. Clients ping every 15 s.
      SILENCE = 50

      attr_reader :archive, :clock, :presence, :process

      # @param archive [Store::Archive]
      # @param alone [Boolean] whether this is the only server process
      # @param clock [#call] ms since the epoch
      def initialize(archive, alone: true, clock: -> { Process.clock_gettime(Process::CLOCK_REALTIME, :millisecond) })
        @archive = archive
        @alone = alone
        @clock = clock
        @process = Store::Ids.call
        @bus = Bus.new(archive.db, @process)
        @presence = Presence.new(Store::Presences.new(archive.db, @process), clock: clock)
        @gatherings = {}
      end

      # Begins listening and the rounds, once per process; further calls do nothing.
      # @param task [Async::Task] must outlive all peers
      def start(task = Async::Task.current)
        return if @root

        # Falcon serves each connection in a task of its own; ours must not end with one of them.
        @root = task.reactor
        background { listen }
        background { every(TIMING_EVERY) { @gatherings.each_value(&:tell_timing) } }
        background { every(SWEEP_EVERY) { sweep } }
      end

      # Finds where a person belongs who says hello.
      # @return [Array(Gathering, Core::Person, String)] and the id of the class, nil for a lesson
      # @raise [Core::Refusal] `not_invited`, `no_such_class`, `no_such_lesson`
      def admit(person_id, lesson:, sitting:)
        start
        row = sitting && @archive.sittings.fetch(sitting)
        lesson = @archive.lessons.fetch(row ? row[:lesson_id] : lesson.to_s)
        person = @archive.people.in_lesson(person_id, lesson)
        raise Core::Refusal.new(:not_invited, 'You are not invited to this class. Ask for its link.') unless person

        [gathering(lesson), person, sitting]
      end

      # @param lesson [Hash]
      # @return [Gathering]
      def gathering(lesson)
        @gatherings[lesson[:id]] ||= Gathering.new(lesson, self).tap do |gathering|
          background { |task| gathering.run(task) }
        end
      end

      # The boards of a lesson are others than before, or open to others.
      def review(lesson_id)
        @gatherings[lesson_id]&.review
        @alone || @bus.review(lesson_id)
      end

      # Hands a transient message to the other processes, if there are any.
      def pass_on(stream, json) = @alone || @bus.transient(stream, json)

      # Keeps snapshots of a class that has ended, so that its recording opens at once.
      def keep_all(sitting, performer)
        names = Core::Streams::Audience.readable(Core::Person.new(role: 'instructor'), sitting)
        names.each { |name| performer.copy(name).keep(@archive.log) }
      end

      # Runs a block in a task of the hub's own.
      def background(&) = @root.async(transient: true, &)

      private

      def listen
        @bus.listen(
          on_entry: ->(stream, seq) { @gatherings.each_value { |gathering| gathering.heard(stream, seq) } },
          on_transient: ->(stream, json) { @gatherings.each_value { |gathering| gathering.send_transient(stream, json) } },
          on_review: ->(lesson_id) { @gatherings[lesson_id]&.review },
          on_start: -> { @gatherings.each_value { |gathering| gathering.streams.each { |stream| gathering.heard(stream, nil) } } }
        )
      rescue Sequel::DatabaseError => e
        Console.warn(self, 'Listening broke off and begins again', e)
        sleep 1
        retry
      end

      def every(seconds)
        loop do
          sleep seconds
          yield
        rescue Sequel::DatabaseError => e
          Console.warn(self, 'A round was missed', e)
        end
      end

      def sweep
        @presence.beat
        now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        @gatherings.each_value do |gathering|
          @presence.sweep(gathering)
          gathering.peers.each { |peer| peer.close if now - peer.heard_at > SILENCE }
        end
        deserted = @gatherings.select { |_, gathering| gathering.deserted? }
        deserted.each_key { |lesson_id| @gatherings.delete(lesson_id).stop }
      end
    end
  end
end
