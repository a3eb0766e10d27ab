# frozen_string_literal: true

require 'csv'

module Veranda
  module Core
    module Polls
      # The answers to a poll as CSV (RFC 4180): with names who answered what in which round, without how often what was answered.
      class Table
        # @param question [Hash] with what is right
        # @param poll [Poll]
        # @param answers [Answers]
        # @param names [Hash{String => String}] of people by id
        def initialize(question, poll, answers, names:)
          @question = question
          @poll = poll
          @answers = answers
          @names = names
          @grader = Answer.new(question)
        end

        # @return [String] no cell is taken for a formula
        def csv
          rows = @poll.rounds.flat_map { |round| Question.nameless?(@question) ? counted(round) : named(round) }
          CSV.generate(row_sep: "\r\n") do |csv|
            csv << ['question', 'round', Question.nameless?(@question) ? 'people' : 'name', 'answer', 'right']
            rows.each { |row| csv << [@question[:text], *row].map { |cell| Cell.plain(cell.to_s) } }
          end
        end

        private

        def named(round)
          @answers.by_person(round[:round]).map { |id, value| [round[:round], @names[id] || id, words(value), right(value)] }
        end

        def counted(round)
          @answers.of(round[:round]).tally.map { |value, count| [round[:round], count, words(value), right(value)] }
        end

        def words(value)
          texts = Question.options(@question).to_h { |option| option.values_at(:id, :text) }
          value.is_a?(Array) ? value.map { |part| texts[part] || part }.join('; ') : value
        end

        def right(value)
          { true => 'yes', false => 'no' }[@grader.grade(value)]
        end
      end
    end
  end
end
