# frozen_string_literal: true

module Veranda
  module Core
    module Questions
      # What people have asked in a class. There are two streams of it: what everyone reads, and what staff have to review or keep to
      # themselves ({Streams::StreamName.asked}).
      #
      # A question is `{ id:, number:, text:, by:, name:, at:, votes:, state:, answer:, answered_at:, into: }`. `by` and `name` are nil
      # where it was asked without a name; its `state` is `open`, `answered` or `merged` (`into` another); among those of staff `waiting`,
      # `passed` or `kept`.
      class Questions
        # In one class.
        MOST = 500
        # Letters.
        LONGEST = 500

        # @return [Hash{String => Hash}] by id, in the order in which they were asked
        attr_reader :all
        # @return [String, nil] id of the one that is being answered
        attr_reader :now
        # @return [Boolean] whether staff see questions before others do; whether one may ask without a name
        attr_reader :review, :nameless

        def initialize
          @all = {}
          @review = false
          @nameless = false
        end

        def initialize_copy(_other)
          super
          @all = @all.dup
        end

        # @return [Array<Hash>] those that are still to be answered
        def waiting = @all.each_value.select { |question| question[:state] == 'open' }

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          body = entry.body
          case entry.kind
          when 'question_asked' then ask(entry, body)
          when 'question_reviewed' then change(body[:id]) { |question| { **question, state: body[:pass] ? 'passed' : 'kept' } }
          when 'votes_counted' then body[:votes].each { |row| change(row[:id]) { |question| { **question, votes: row[:count] } } }
          when 'question_merged' then change(body[:id]) { |question| { **question, state: 'merged', into: body[:into] } }
          when 'answering' then @now = body[:id]
          when 'question_answered' then answered(entry, body)
          when 'questions_set' then @review, @nameless = body.values_at(:review, :nameless)
          end
          self
        end

        # @return [Integer] how much there is to write down
        def size = @all.length

        def to_h = { questions: @all.values, now: @now, review: @review, nameless: @nameless }
        alias view to_h

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts)
          new.tap do |questions|
            questions.instance_variable_set(:@all, facts[:questions].to_h { |question| [question[:id], question] })
            %i[now review nameless].each { |name| questions.instance_variable_set(:"@#{name}", facts[name]) }
          end
        end

        private

        # One that was reviewed was asked before.
        def ask(entry, body)
          @all[body[:id]] = { **body.slice(:id, :number, :text, :by, :name), at: body[:at] || entry.at, votes: 0, state: body[:state],
                                                                             answer: nil, answered_at: nil, into: nil }
        end

        def answered(entry, body)
          change(body[:id]) { |question| { **question, state: 'answered', answer: body[:words], answered_at: entry.at } }
          @now = nil if @now == body[:id]
        end

        def change(id) = @all[id] && @all[id] = yield(@all[id])
      end
    end
  end
end
