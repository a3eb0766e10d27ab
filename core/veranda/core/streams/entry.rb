# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      # One fact in a stream. Permanent.
      #
      # @!attribute stream [String] name of the stream, `kind/id`
      # @!attribute seq [Integer] 1, 2, 3 … without gaps in one stream
      # @!attribute at [Integer] ms since the epoch
      # @!attribute actor [String] person id, `'house'` for what the server does, or `'nobody'` where nobody may learn who it was
      # @!attribute kind [String]
      # @!attribute body [Hash] with symbol keys
      # @!attribute command_id [String] the client's id for the command that caused it
      Entry = Struct.new(:stream, :seq, :at, :actor, :kind, :body, :command_id, keyword_init: true)
    end
  end
end
