# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # A poll of a class as everyone may know it to whom it was put: the question without what is right, its rounds, and what was shown
      # of the answers. Who answered what, and how many, is in {Answers}.
      #
      # A round is `{ round:, opened_at:, from:, ends_at:, closed_at:, cleared:, talk: }`: answers are taken `from` a moment on, up to
      # `ends_at` where there is a time limit; `talk` where people are asked to talk it over before.
      class Poll
        # Openings of one poll.
        MOST_ROUNDS = 20
        # What staff alone know of a question until it is shown.
        KEPT_BACK = %i[right explanation].freeze

        # @return [Hash, nil] see {Question}, without {KEPT_BACK}
        attr_reader :question
        # @return [String, nil] the place that it is for; nil for all of the class
        attr_reader :place
        # @return [Hash, nil] `{ id:, title: }` of the set that it is part of
        attr_reader :set
        # @return [Array<Hash>] oldest first
        attr_reader :rounds
        # @return [Hash, nil] what of the answers everyone may see, see {Results}, with `right` and `explanation` where these were told
        attr_reader :shown

        def initialize
          @rounds = []
        end

        # @return [Boolean]
        def begun? = !@question.nil?

        # @return [Hash, nil] the round that is open
        def round = @rounds.last&.then { |round| round if round[:closed_at].nil? }

        # @param at [Integer] ms since the epoch
        # @return [Boolean] whether answers to a round are taken at a time
        def takes?(number, at)
          !round.nil? && round[:round] == number && at >= round[:from] && (round[:ends_at].nil? || at <= round[:ends_at])
        end

        # @param at [Integer] ms since the epoch
        # @return [Integer, nil] number of the round that takes answers at a time
        def taking(at) = round&.fetch(:round)&.then { |number| number if takes?(number, at) }

        # @return [Boolean] whether staff never learn who answered what
        def nameless? = begun? && Question.nameless?(@question)

        # @return [Boolean] whether marks on a board are the answers
        def counts_marks? = begun? && @question[:kind] == Question::MARKS

        # @return [Array<Hash>] rounds that count, oldest first
        def standing = @rounds.reject { |round| round[:cleared] }

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          body = entry.body
          case entry.kind
          when 'poll_begun' then @question, @place, @set = body.values_at(:question, :place, :set)
          when 'round_opened' then open_round(entry, body)
          when 'round_closed' then change(body[:round]) { |round| { **round, closed_at: entry.at } }
          when 'round_cleared' then change(body[:round]) { |round| { **round, cleared: body[:on] } }
          when 'poll_shown' then @shown = body
          when 'poll_sealed' then @shown = nil
          end
          self
        end

        # @return [Integer] how much there is to write down
        def size = @rounds.length

        def to_h = { question: @question, place: @place, set: @set, rounds: @rounds, shown: @shown }
        alias view to_h

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts)
          new.tap { |poll| facts.each { |name, value| poll.instance_variable_set(:"@#{name}", value) } }
        end

        private

        # What is shown is of a round before, and would lead whoever answers now.
        def open_round(entry, body)
          @shown = nil
          @rounds += [{ **body.slice(:round, :from, :ends_at, :talk), opened_at: entry.at, closed_at: nil, cleared: false }]
        end

        def change(number) = @rounds = @rounds.map { |round| round[:round] == number ? yield(round) : round }
      end
    end
  end
end
