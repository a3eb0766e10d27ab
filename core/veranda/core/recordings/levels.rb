# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # How loud it was in a class: of each second the loudest of all who were heard, 0 to 100, and where nobody was.
      #
      #   Levels.new([{ began_at: 0, levels: [80, 3, 2, 2, 70] }], from: 0, to: 5_000).silences #=> [[1000, 4000]]
      class Levels
        SECOND = 1_000
        # Parts that a class is told in, at most.
        PARTS = 600
        # Below that nobody speaks; so many seconds of it are a silence.
        HEARD = 25
        LEAST = 2
        # Silences that are told, longest first.
        MOST = 400

        # @param tracks [Array<Hash>] `{ began_at:, levels: }`
        # @param from [Integer] ms since the epoch
        # @param to [Integer]
        def initialize(tracks, from:, to:)
          @from = from
          seconds = ((to - from) / SECOND.to_f).ceil
          # Nothing where nobody's microphone was on.
          @loudest = Array.new(seconds)
          tracks.each { |track| add(track) }
        end

        # @return [Integer] seconds of one part
        def every = [(@loudest.length / PARTS.to_f).ceil, 1].max

        # @return [Array<Integer>] the loudest second of each part
        def parts = @loudest.each_slice(every).map { |part| part.compact.max || 0 }

        # @return [Array<Array(Integer, Integer)>] from and to, ms since the epoch
        def silences
          return [] if @loudest.compact.empty?

          runs = @loudest.each_with_index.chunk_while { |one, other| quiet?(one.first) == quiet?(other.first) }
          silent = runs.select { |run| quiet?(run.first.first) && run.length >= LEAST }
          rows = silent.map { |run| [at(run.first.last), at(run.last.last + 1)] }
          rows.max_by(MOST) { |from, to| to - from }.sort
        end

        private

        def add(track)
          first = (track[:began_at] - @from) / SECOND
          track[:levels].each_with_index do |level, i|
            second = first + i
            @loudest[second] = [@loudest[second] || 0, level].max if second >= 0 && second < @loudest.length
          end
        end

        def quiet?(level) = level.nil? || level < HEARD
        def at(second) = @from + (second * SECOND)
      end
    end
  end
end
