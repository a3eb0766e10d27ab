# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # What is wrong with a question: what is grave keeps it from being opened, the rest is told in readiness.
      class Doubts
        # @param question [Hash] see {Question}
        # @return [Array<Hash>] `{ code:, says:, grave: }`, the grave ones first
        def self.of(question) = new(question).call

        def initialize(question)
          @question = question
          @options = Question.options(question)
          @found = []
        end

        def call
          grave(:question_empty, 'This poll asks nothing yet. Write the question.') if blank?(@question[:text])
          choices if Question::WITH_OPTIONS.include?(@question[:kind])
          numbers if @question[:kind] == 'number'
          spot if @question[:kind] == 'spot'
          marks if @question[:kind] == Question::MARKS
          right
          easy
          @found.sort_by.with_index { |doubt, i| [doubt[:grave] ? 0 : 1, i] }
        end

        private

        def grave(code, says) = @found << { code: code, says: says, grave: true }
        def doubt(code, says) = @found << { code: code, says: says, grave: false }
        def blank?(text) = text.to_s.strip.empty?

        def choices
          grave(:too_few_options, 'This poll needs two options at least.') if @options.length < 2
          empty = @options.any? { |one| blank?(one[:text]) && !one[:picture] }
          return grave(:option_empty, 'One of the options is empty. Write it or take it out.') if empty

          alike
          few, many = Question.bounds(@question)
          grave(:too_many_wanted, "One cannot choose #{few} of #{many} at most.") if few > many
        end

        def alike
          grave(:options_alike, 'Two options have the same id.') if @options.uniq { |one| one[:id] }.length < @options.length
          written = @options.reject { |one| blank?(one[:text]) }.group_by { |one| Likeness.key(one[:text]) }
          two = written.values.find { |some| some.length > 1 } or return
          grave(:options_alike, "Two options are the same: “#{two.first[:text]}”.")
        end

        def numbers
          low, high = @question.values_at(:low, :high)
          grave(:nothing_between, "No number is between #{low} and #{high}.") if low && high && low > high
        end

        def spot
          return if @question[:picture] || @question[:board]

          grave(:nothing_to_mark, 'There is nothing to mark a spot on. Choose a picture or a board.')
        end

        def marks
          grave(:nothing_to_mark, 'There is no board on which marks are counted. Choose one.') unless @question[:board] && @question[:page]
          grave(:too_few_options, 'Marks are counted in two regions at least. Draw them.') if @options.length < 2
          grave(:option_empty, 'One of the regions has no name.') if @options.any? { |one| blank?(one[:text]) }
          alike
          grave(:marks_have_names, 'Marks on a board tell who made them: this cannot be without names.') if Question.nameless?(@question)
        end

        def right
          right = @question[:right] or return
          known = @options.map { |one| one[:id] }
          grave(:no_such_option, 'The right answer is none of the options.') if (right[:options] || []).any? { |id| !known.include?(id) }
          doubt(:no_right_answer, 'A right answer is promised, and none is given.') if right.empty?
        end

        def easy
          doubt(:long_for_a_phone, 'The question is long for a phone.') if @question[:text].to_s.length > Question::EASY_TEXT
          long = @options.find { |one| one[:text].length > Question::EASY_OPTION } or return
          doubt(:long_for_a_phone, "“#{long[:text][0, 30]}…” is long for a phone.")
        end
      end
    end
  end
end
