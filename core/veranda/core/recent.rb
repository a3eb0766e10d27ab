# frozen_string_literal: true

module Veranda
  module Core
    # Keeps what was last worked out, so many at most; the one that was not asked for longest goes first. For one thread at a time.
    #
    #   recent = Recent.new(2)
    #   recent.fetch(:a) { 1 } #=> 1
    class Recent
      # @param most [Integer]
      def initialize(most)
        @most = most
        @kept = {}
        @lock = Mutex.new
      end

      # @param key [Object]
      # @return [Object] what is kept by that key, or what the block comes to
      def fetch(key)
        @lock.synchronize do
          value = @kept.key?(key) ? @kept.delete(key) : yield
          @kept.shift if @kept.length >= @most
          @kept[key] = value
        end
      end
    end
  end
end
