# frozen_string_literal: true

module Veranda
  module Store
    # A stream's state as this process knows it.
    class StreamCopy
      # @return [String]
      attr_reader :name
      # @return [Object] a state of the core
      attr_reader :state
      # @return [Integer] seq and time (ms) of the last entry in it, and seq of the last snapshot
      attr_reader :seq, :at, :kept

      # @param log [Log]
      def self.load(name, log)
        new(name, *log.state(name))
      end

      def initialize(name, state, seq, at)
        @name = name
        @state = state
        @seq = @kept = seq
        @at = at
      end

      # @param entry [Core::Streams::Entry] the next one
      def apply(entry)
        @state.apply(entry)
        @seq = entry.seq
        @at = entry.at
      end

      # Makes the next entry and applies it. Time never runs back within a stream.
      # @return [Core::Streams::Entry]
      def add(kind, body, at:, by:, command_id:)
        Core::Streams::Entry.new(stream: @name, seq: @seq + 1, at: [at, @at].max, actor: by.id, kind: kind, body: body,
                                 command_id: command_id).tap { |entry| apply(entry) }
      end

      # @return [Integer] entries since the last snapshot
      def unkept = @seq - @kept

      # @param log [Log]
      def keep(log)
        log.keep_snapshot(@name, @seq, @at, @state)
        @kept = @seq
      end
    end
  end
end
