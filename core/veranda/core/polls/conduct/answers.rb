# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # What was answered to a poll of a class, round by round, and how staff put written answers together. Nobody reads its stream but
      # the server: people are told what it comes to, see {Results}.
      #
      # With names a round is what each person answered last. Without, it is what was counted when it closed: how often each answer was
      # given, and how people moved since earlier rounds ({CountBallots}).
      class Answers
        ROUNDS = ->(hash, round) { hash[round] = {} }
        private_constant :ROUNDS

        # @return [Hash{String => String}] keys of written answers that staff have put to others, see {Likeness}
        attr_reader :moved
        # @return [Hash{String => String}] what staff call a group of them, by its key
        attr_reader :named
        # @return [Array<String>] keys that staff have taken from view
        attr_reader :struck

        def initialize
          @by_person = Hash.new(&ROUNDS)
          @counted = {}
          @moved = {}
          @named = {}
          @struck = []
        end

        def initialize_copy(_other)
          super
          # Each round begins empty in this copy and in no other.
          @by_person = @by_person.transform_values(&:dup)
          @by_person.default_proc = ROUNDS
          @counted, @moved, @named = [@counted, @moved, @named].map(&:dup)
        end

        # @param round [Integer]
        # @return [Array<Object>] one of each who answered, as {Answer} keeps them; without names and of too few, none
        def of(round)
          return @by_person[round].values if @by_person.key?(round)

          (@counted.dig(round, :answers) || []).flat_map { |row| Array.new(row[:count], row[:value]) }
        end

        # @return [Integer] how many answered
        def count(round) = @by_person.key?(round) ? @by_person[round].length : @counted.dig(round, :count) || 0

        # @return [Hash{String => Object}] answers by person; none without names
        def by_person(round) = @by_person.key?(round) ? @by_person[round] : {}

        # @return [Hash, nil] `{ since:, count:, ways:, right: }` from a round to a later one, as it was counted without names
        def moves(since, round) = (@counted.dig(round, :moves) || []).find { |row| row[:since] == since }

        # @return [Boolean] whether a round without names was counted
        def counted?(round) = @counted.key?(round)

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          body = entry.body
          case entry.kind
          when 'answered' then @by_person[body[:round]][entry.actor] = body[:value]
          when 'marks_counted' then @by_person[body[:round]] = body[:answers].to_h { |row| row.values_at(:person, :value) }
          when 'counted' then @counted[body[:round]] = body
          when 'grouped' then body[:to] ? @moved[body[:key]] = body[:to] : @moved.delete(body[:key])
          when 'group_named' then @named[body[:key]] = body[:words]
          when 'struck' then body[:on] ? @struck |= [body[:key]] : @struck -= [body[:key]]
          end
          self
        end

        # @return [Integer] how much there is to write down
        def size = @by_person.sum { |_, answers| answers.length } + @counted.length + @moved.length

        def to_h
          { rounds: @by_person.map do |round, answers|
            { round: round, answers: answers.map do |person, value|
              { person: person, value: value }
            end }
          end,
            counted: @counted.values, moved: @moved.to_a, named: @named.to_a, struck: @struck }
        end

        # @return [Hash] nothing: nobody is sent it
        def view = {}

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts) = new.tap { |answers| answers.send(:restore, facts) }

        private

        def restore(facts)
          facts[:rounds].each do |row|
            @by_person[row[:round]] = row[:answers].to_h { |answer| answer.values_at(:person, :value) }
          end
          @counted = facts[:counted].to_h { |row| [row[:round], row] }
          @moved, @named = facts.values_at(:moved, :named).map(&:to_h)
          @struck = facts[:struck]
        end
      end
    end
  end
end
