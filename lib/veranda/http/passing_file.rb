# frozen_string_literal: true

module Veranda
  module Http
    # The body of an answer: an open file, read piece by piece as fast as the visitor takes it, so that a large one neither fills our
    # memory nor holds up anyone. Closed when it was given or given up.
    class PassingFile
      # Bytes read at once.
      PIECE = 64 * 1024

      # @param path [String]
      def initialize(path)
        @file = File.new(path, 'rb')
      end

      # @return [Integer] bytes
      def size = @file.size

      # @yieldparam piece [String]
      def each
        while (piece = @file.read(PIECE))
          yield piece
        end
      end

      def close = @file.close
    end
  end
end
