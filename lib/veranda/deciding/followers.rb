# frozen_string_literal: true

module Veranda
  module Deciding
    # What follows an entry once it is committed: one table, kind of stream and of entry to names of followers.
    #
    #   followers = Followers.new({ 'sitting.ended' => %i[keep_snapshots review] }, self)
    #   followers.after(entry) #=> [:keep_snapshots, :review]
    #   followers.call(:review, entry) { |tries| … }
    #
    # A follower is a method of the given object that takes the entry. Each process that holds the stream runs it, and it may
    # run again after an error: so it must be safe to run twice. None of them can take an entry back.
    class Followers
      # How often one is tried, and seconds between tries.
      TRIES = 3
      PAUSE = 0.5
      NONE = [].freeze
      private_constant :NONE

      # @param table [Hash{String => Array<Symbol>}]
      # @param target [Object]
      def initialize(table, target)
        @table = table
        @target = target
      end

      # @param entry [Core::Streams::Entry]
      # @return [Array<Symbol>]
      def after(entry)
        @table.fetch("#{Core::Streams::StreamName.kind(entry.stream)}.#{entry.kind}", NONE)
      end

      # Runs one follower.
      # @param tries [Integer] which try this is
      # @yieldparam tries [Integer] the next try, when it failed and may be tried again
      def call(name, entry, tries: 1)
        @target.send(name, entry)
      rescue StandardError => e
        Complaint.of(self, "#{name} after #{entry.stream}:#{entry.seq} failed", e)
        yield tries + 1 if tries < TRIES
      end
    end
  end
end
