# frozen_string_literal: true

require 'que'

module Veranda
  module Workshop
    # Folds a stream up to one of its entries and keeps the state. Doing so twice does no harm.
    class KeepSnapshot < Que::Job
      self.maximum_retry_count = 3

      # @param name [String] of the stream
      # @param seq [Integer]
      def run(name, seq) = self.class.keep(Work.archive.log, name, seq)

      # @param log [Store::Log]
      def self.keep(log, name, seq)
        at = log.entries(name, after: seq - 1, last: seq).first&.at or return
        log.snapshots.keep(name, seq, at, log.state_after(name, seq))
      end

      def log_level(_elapsed) = :debug
    end
  end
end
