# frozen_string_literal: true

module Veranda
  module Core
    # Everything a command may look at: the state of its stream, the class it happens in
    # (nil while a lesson is being prepared), who asks, when, and a source of chance.
    #
    # @!attribute state [Object] fold of the command's own stream
    # @!attribute sitting [Sittings::Sitting, nil]
    # @!attribute by [Person]
    # @!attribute at [Integer] ms since the epoch
    # @!attribute rng [Random]
    Scene = Struct.new(:state, :sitting, :by, :at, :rng, keyword_init: true) do
      # @param right [Symbol]
      # @return [Rights::Answer] whether `by` has the right here and now, and why
      def right(right)
        Rights::Ask.call(right, by: by, sitting: sitting)
      end
    end
  end
end
