# frozen_string_literal: true

module Veranda
  module Store
    class Log
      # What is stored together: `entries`, `ballots` that belong to them and are none, and the `errands` that must follow.
      Commit = Struct.new(:entries, :ballots, :errands) do
        # @param given [Commit, Array<Core::Streams::Entry>]
        # @return [Commit]
        def self.of(given) = given.is_a?(Commit) ? given : new(given)

        # @param entries [Array<Core::Streams::Entry>]
        # @param ballots [Array<Core::Polls::Ballot>]
        # @param errands [Array<Core::Errands::Errand>]
        def initialize(entries = [], ballots = [], errands = []) = super

        # @return [Boolean]
        def empty? = entries.empty? && ballots.empty?
      end
    end
  end
end
