# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # An answer without a name, which a command has decided to take: no entry is made of it. See docs/polls.md on where it goes.
      #
      # @!attribute poll [String] name of the poll's stream
      # @!attribute round [Integer]
      # @!attribute person [String] id; by which nobody may find the answer again
      # @!attribute value [Object] as {Answer} keeps it
      # @!attribute change [Boolean] whether it may take the place of an earlier one
      Ballot = Struct.new(:poll, :round, :person, :value, :change, keyword_init: true)
    end
  end
end
