# frozen_string_literal: true

module Veranda
  module Core
    module Questions
      # Asks something, with one's name or, where that is allowed, without. Where staff review what is asked, they alone see it at first.
      class Ask < QuestionCommand
        on :questions, 'question.ask'
        looks_at :main

        contract do
          required(:id).value(Types::ID)
          required(:text).value(:string)
          required(:nameless).value(:bool)
        end

        def decide
          going_on!
          raise Refusal.new(:not_here, 'You are not in this class.') unless by.staff? || sitting.in?(by.id)

          may_post!
          [entry_of(asked_in), ballot].compact
        end

        private

        def may_post!
          answer = Rights::Ask.call(:post, by: by, sitting: sitting, place: scene.of(:main), at: scene.at)
          raise Refusal.new(answer.code, answer.says) unless answer.allowed?
          raise Refusal.new(:name_needed, 'Questions are asked with a name in this class.') if input[:nameless] && !state.nameless
          raise Refusal.new(:question_exists, 'That question has been asked already.') if known?
          raise Refusal.new(:too_many_questions, 'Very many questions were asked already.') if number > Questions::MOST
        end

        def known? = state.all.key?(input[:id]) || asked.all.key?(input[:id])
        def number = state.size + asked.all.each_value.count { |question| question[:state] != 'passed' } + 1
        def asked_in = state.review ? asked_stream : :home

        def text
          text = input[:text].strip
          raise Refusal.new(:post_empty, 'There is nothing written yet.') if text.empty?
          return text if text.length <= Questions::LONGEST

          raise Refusal.new(:post_too_long,
                            "A question has up to #{Questions::LONGEST} characters; this one has #{text.length}. It is still in the box.")
        end

        def entry_of(stream)
          whose = input[:nameless] ? { by: nil, name: nil } : { by: by.id, name: by.name }
          facts = { id: input[:id], number: number, text: text, state: state.review ? 'waiting' : 'open', **whose }
          entry('question_asked', facts, on: stream).tap { |draft| draft.nameless = input[:nameless] }
        end

        # So that nobody votes for their own.
        def ballot = Polls::Ballot.new(poll: scene.name(:home), round: number, person: by.id, value: Vote::OWN, change: true)
      end
    end
  end
end
