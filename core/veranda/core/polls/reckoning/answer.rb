# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # One answer to a question: read from what somebody sent, and told whether it is right. What cannot be an answer is refused with a
      # sentence, and whoever wrote it keeps it.
      #
      # As it is kept: of a choice the ids of options, of an order all of them; of a scale a point from 1; of a number a Float; a short
      # answer as it was written; of a cloud some words; of a spot `[x, y]` in px of the page or picture.
      class Answer
        # Letters of a short answer, and of one in a cloud; answers of one person in a cloud.
        LONGEST = 500
        LONGEST_WORD = 60
        MOST_WORDS = 5

        # @param question [Hash] see {Question}
        # @param given [Object] as it came
        # @return [Object] as it is kept
        # @raise [Refusal]
        def self.of(question, given) = new(question).read(given)

        # @param question [Hash]
        # @param kept [Object]
        # @return [Boolean, nil] whether it is right; nil where nothing is
        def self.grade(question, kept) = new(question).grade(kept)

        def initialize(question)
          @question = question
        end

        def read(given)
          case @question[:kind]
          when 'one', 'yes_no' then chosen([given])
          when 'several' then chosen(list(given))
          when 'order' then order(list(given))
          when 'short' then written(given, LONGEST)
          when 'cloud' then words(list(given))
          when 'scale' then point(given)
          when 'number' then Measure.read(given, @question)
          when Question::MARKS then refuse(:by_marks,
                                           'This is answered on the board: put a tick, a cross, a counter or a note in a region.')
          else spot(given)
          end
        end

        def grade(kept)
          right = @question[:right]
          return if right.nil? || right.empty?

          case @question[:kind]
          when 'one', 'several', 'yes_no' then kept.sort == right[:options].to_a.sort
          when 'order' then kept == right[:options]
          when 'short' then right_words.include?(Likeness.key(kept))
          when 'number' then near?(kept, right)
          when 'spot' then inside?(kept, right[:area])
          end
        end

        private

        def refuse(code, says) = raise(Refusal.new(code, says))

        def list(given)
          return given if given.is_a?(Array) && given.length <= Question::MOST_OPTIONS * 2

          refuse(:bad_answer, 'That is no list of answers. Answer once more.')
        end

        def known!(ids)
          known = Question.options(@question).map { |option| option[:id] }
          refuse(:no_such_option, 'That is none of the options. Look at the poll once more.') unless (ids - known).empty?
        end

        def chosen(ids)
          known!(ids)
          few, many = Question.bounds(@question)
          refuse(:chosen_twice, 'One option was chosen twice.') if ids.uniq.length < ids.length
          refuse(:too_few_chosen, "Choose #{few} at least.") if ids.length < few
          refuse(:too_many_chosen, "Choose #{many} at most.") if ids.length > many
          # In the order of the options, so that who chose the same has answered the same.
          Question.options(@question).filter_map { |option| option[:id] if ids.include?(option[:id]) }
        end

        def order(ids)
          known!(ids)
          count = Question.options(@question).length
          refuse(:chosen_twice, 'One option stands in two places.') if ids.uniq.length < ids.length
          refuse(:order_incomplete, "Put all #{count} in order.") if ids.length < count
          ids
        end

        def written(given, longest)
          refuse(:bad_answer, 'That is no answer in words.') unless given.is_a?(String)
          text = given.gsub(/[[:cntrl:]\p{Z}]+/, ' ').strip
          refuse(:answer_empty, 'There is nothing written yet.') if text.empty?
          refuse(:answer_too_long, "An answer has #{longest} letters at most. Shorten it.") if text.length > longest
          text
        end

        # Who writes one word twice has written it once.
        def words(given)
          refuse(:answer_empty, 'There is nothing written yet.') if given.empty?
          refuse(:too_many_words, "Write #{MOST_WORDS} words at most.") if given.length > MOST_WORDS
          given.map { |word| written(word, LONGEST_WORD) }.uniq { |word| Likeness.key(word) }
        end

        def point(given)
          points = @question[:points] || Question::USUAL_POINTS
          refuse(:no_such_point, "Choose a point from 1 to #{points}.") unless given.is_a?(Integer) && given.between?(1, points)
          given
        end

        def spot(given)
          fine = given.is_a?(Array) && given.length == 2 && given.all? { |number| Types::Predicates.coordinate?(number) && number >= 0 }
          refuse(:no_spot, 'Mark a spot on the picture.') unless fine
          given.map { |number| number.to_f.round(1) }
        end

        def right_words = @right_words ||= (@question[:right][:words] || []).map { |word| Likeness.key(word) }

        def near?(number, right)
          return false unless right[:number]

          # So that 0.1 + 0.2 is within 0.3.
          (number - right[:number]).abs <= (right[:tolerance] || 0) + (number.abs * Float::EPSILON * 4)
        end

        def inside?(spot, area)
          return false unless area

          x, y = spot
          x.between?(area[:x], area[:x] + area[:w]) && y.between?(area[:y], area[:y] + area[:h])
        end
      end
    end
  end
end
