# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # How much happened when in a recording, so that the eye finds places in it: in even parts of its time, where nothing did, and what
      # somebody did themselves.
      class Happened
        # Parts that a recording is told in, and ms of one at least.
        PARTS = 240
        LEAST = 5_000
        # ms of nothing that are worth skipping.
        QUIET = 15_000
        # How much one of a kind counts.
        WEIGHT = { 'posted' => 2, 'edited' => 1, 'captioned' => 2, 'laid' => 2, 'taken_in' => 2, 'prop_used' => 2, 'poll_begun' => 3,
                   'round_opened' => 3, 'poll_shown' => 3, 'question_asked' => 2, 'shown' => 1, 'hand_raised' => 1, 'screen_on' => 3,
                   'clip_on' => 3, 'pointed' => 0.2 }.freeze
        # ms of speech that count as one.
        SPEECH = 5_000
        # While these are on, something is seen or heard all the time.
        LASTS = { 'screen_on' => 'screen_off', 'clip_on' => 'clip_off' }.freeze
        # What somebody did that they may look for.
        OWN = { 'posted' => 'post', 'hand_raised' => 'hand', 'question_asked' => 'question', 'edited' => 'mark' }.freeze
        # ms in which marks of one person are one moment, and how many of those are told.
        TOGETHER = 30_000
        MOST = 200

        # @param told [Array<Hash>] see {Films::Playing}
        # @param cues [Array<Cue>] of what was said, where somebody wrote it down
        # @param length [Integer] ms
        def initialize(told, cues:, length:)
          @told = told.reject { |one| one[:kind] == 'seam' }
          @cues = cues
          @length = length
        end

        # @return [Integer] ms of one part
        def every = [(@length.to_f / PARTS).ceil, LEAST].max

        # @return [Array<Float>] how much happened in each part
        def parts
          sums = Array.new((@length.to_f / every).ceil, 0.0)
          weights.each { |time, weight| sums[[time / every, sums.length - 1].min] += weight if sums.any? }
          sums.map { |sum| sum.round(1) }
        end

        # @return [Array<Array(Integer, Integer)>] from and to, in ms of the recording
        def quiet
          busy = (@told.select { |one| WEIGHT.key?(one[:kind]) }.map { |one| [one[:t], one[:t] + took(one)] } + spans + on).sort
          last = 0
          gaps = busy.filter_map do |from, to|
            gap = [last, from]
            last = [last, to].max
            gap
          end
          [*gaps, [last, @length]].select { |from, to| to - from >= QUIET }
        end

        # @return [Hash{String => Array<Hash>}] what people did, `{ t:, kind:, words: }` in order, by person as they are told
        def own
          @told.select { |one| OWN.key?(one[:kind]) }.group_by { |one| one[:by] }.transform_values { |rows| moments(rows).first(MOST) }
        end

        # @return [Hash] `{ every:, parts:, quiet:, own: }`
        def to_h = { every: every, parts: parts, quiet: quiet, own: own }

        private

        # Marks that follow one another shortly are one moment.
        def moments(rows)
          last = nil
          rows.filter_map do |one|
            kind = OWN[one[:kind]]
            next if kind == 'mark' && last && one[:t] - last < TOGETHER

            last = one[:t] if kind == 'mark'
            { t: one[:t], kind: kind, words: one[:body][:text] }
          end
        end

        # @return [Array<Array(Integer, Numeric)>] when what counts how much
        def weights
          spoken = spans.flat_map do |from, to|
            weight = [to - from, every].min.fdiv(SPEECH)
            ((from / every)..(to / every)).map { |part| [part * every, weight] }
          end
          @told.map { |one| [one[:t], WEIGHT[one[:kind]] || 0] } + spoken
        end

        # A stroke is seen to grow.
        def took(one) = one[:kind] == 'edited' ? one[:body][:ops].map { |op| op.dig(:mark, :took) || 0 }.max || 0 : 0

        # When somebody spoke: told at its end.
        def spans
          spoken = @told.select { |one| one[:kind] == 'spoke' }.map { |one| [[one[:t] - one[:body][:ms], 0].max, one[:t]] }
          spoken + @cues.map { |cue| [cue.from, cue.to] }
        end

        def on
          LASTS.flat_map do |first, last|
            rows = @told.select { |one| [first, last].include?(one[:kind]) }
            rows.zip(rows.drop(1)).filter_map { |one, following| [one[:t], following ? following[:t] : @length] if one[:kind] == first }
          end
        end
      end
    end
  end
end
