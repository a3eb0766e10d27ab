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
    # @!attribute outside [String, nil] what students may do with the board outside of class: `read` or `work`
    # @!attribute earlier [#call] answers with the state as it was at an earlier seq of the stream
    Scene = Struct.new(:state, :sitting, :by, :at, :rng, :outside, :earlier, keyword_init: true) do
      # @param right [Symbol]
      # @return [Rights::Answer] whether `by` has the right here and now, and why
      def right(right)
        Rights::Ask.call(right, by: by, sitting: sitting, outside: outside)
      end
    end
  end
end
