# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      # An entry that a command has decided on and nobody has stored yet.
      #
      # @!attribute stream [String]
      # @!attribute kind [String]
      # @!attribute body [Hash] with symbol keys
      # @!attribute nameless [Boolean, nil] whether nobody may learn who it was, nor when to more than the minute
      Draft = Struct.new(:stream, :kind, :body, :nameless)
    end
  end
end
