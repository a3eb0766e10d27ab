# frozen_string_literal: true

module Veranda
  module Core
    module Films
      # What lay over the boards of a recording, and what was played in it.
      #
      #   OnPaper.new(sitting: '7', told: told, clock: clock).screens #=> [{ from: 0, to: 9_000, person: 'tomas' }]
      class OnPaper
        # Streams that tell it, and entries after which something else may lie there.
        LIES = %i[place poll].freeze
        KINDS = %w[shown screen_on screen_off screen_paused clip_on clip_set clip_off made_large poll_shown poll_sealed round_opened
                   seam].freeze

        # @param sitting [String]
        # @param told [Array<Hash>] see {Playing}
        # @param clock [Recordings::Clock]
        def initialize(sitting:, told:, clock:)
          @clock = clock
          told = told.select { |one| one[:kind] == 'seam' || LIES.include?(Streams::StreamName.kind(one[:stream])) }
          playing = Playing.new(sitting: sitting, told: told, clock: clock)
          times = told.select { |one| KINDS.include?(one[:kind]) }.map { |one| one[:t] }.uniq
          starts = times.map { |time| [time, *now(playing.tap { |one| one.advance(time) })] }
          rows = starts.zip(starts.drop(1).map(&:first) << clock.length).map { |start, to| [*start, to] }
          @rows = rows.select { |from, *, to| to > from }
        end

        # @return [Array<Hash>] `{ from:, to:, person: }` of shared screens that lay over the boards, ms of the film
        def screens
          @rows.filter_map do |from, screen, _, _, poll, to|
            { from: from, to: to, person: screen[:person] } if screen && screen[:front] && !poll
          end
        end

        # @return [Array<Hash>] `{ from:, to:, clip:, front:, pieces: }` of what was played, see {Pieces}
        def clips
          @rows.filter_map do |from, _, clip, _, poll, to|
            next unless clip

            { clip: clip, front: clip[:front] && clip[:kind] == 'clip' && !poll,
              pieces: Pieces.of_clip(clip, wall: @clock.wall(from), from: from, to: to) }
          end
        end

        # @return [Array<Array(Integer, String)>] since when whose picture was large, see {WhoIsSeen}
        def large = @rows.map { |from, _, _, large,| [from, large] }.chunk_while { |one, other| one.last == other.last }.map(&:first)

        private

        def now(playing)
          place = playing.place
          [place&.screen, place&.clip, place&.large, !playing.poll.nil?]
        end
      end
    end
  end
end
