# frozen_string_literal: true

module Veranda
  module Deciding
    # A stream's state as this process knows it.
    class StreamCopy
      # @return [String]
      attr_reader :name
      # @return [Object] a state of the core
      attr_reader :state
      # @return [Integer] seq and time (ms) of the last entry in it
      attr_reader :seq, :at

      # Seconds for which a stream that others write to as well is taken to be theirs too.
      SHARED_FOR = 10

      # Who has done what is entered without a name, and ms to which its time is told.
      NOBODY = 'nobody'
      MINUTE = 60_000

      # @return [Integer] seq up to which a snapshot is kept or was asked for
      attr_accessor :kept

      # @param log [Store::Log]
      def self.load(name, log)
        new(name, *log.state(name))
      end

      def initialize(name, state, seq, at)
        @name = name
        @state = state
        @seq = @kept = seq
        @at = at
      end

      # One that goes its own way: what is decided on it in vain is thrown away with it.
      def initialize_copy(_other)
        super
        @state = @state.dup
      end

      # Takes in what another process has added.
      # @param entry [Core::Streams::Entry] the next one
      def take(entry)
        share
        apply(entry)
      end

      # Notes that others write to it as well.
      def share = @shared_at = now

      # @return [Boolean] whether another process has written to it of late
      def shared? = !@shared_at.nil? && now - @shared_at < SHARED_FOR

      # @param entry [Core::Streams::Entry] the next one
      def apply(entry)
        @state.apply(entry)
        @seq = entry.seq
        @at = entry.at
      end

      # Makes the next entry of a draft and applies it. Time never runs back within a stream.
      # @param draft [Core::Streams::Draft]
      # @param command_id [String, nil]
      # @return [Core::Streams::Entry]
      def add(draft, at:, by:, command_id:)
        at, actor = draft.nameless ? [at - (at % MINUTE), NOBODY] : [at, by.id]
        Core::Streams::Entry.new(stream: @name, seq: @seq + 1, at: [at, @at].max, actor: actor, kind: draft.kind,
                                 body: draft.body, command_id: command_id).tap { |entry| apply(entry) }
      end

      private

      def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    end
  end
end
