# frozen_string_literal: true

module Veranda
  module Core
    module Questions
      # Says that one asks this too, or no longer. Who votes is told to nobody: votes are counted as answers without names are.
      class Vote < QuestionCommand
        on :questions, 'question.vote'
        OWN = 'own'
        UP = 'up'
        NONE = 'none'

        contract do
          required(:id).value(Types::ID)
          required(:on).value(:bool)
        end

        def decide
          going_on!
          raise Refusal.new(:students_only, 'Students say what they ask too.') if by.staff?
          raise Refusal.new(:not_here, 'You are not in this class.') unless sitting.in?(by.id)

          number = open_question![:number]
          Polls::Ballot.new(poll: scene.name(:home), round: number, person: by.id, value: input[:on] ? UP : NONE, change: true)
        end

        # @raise [Refusal]
        def self.own! = raise(Refusal.new(:own_question, 'This is your own question; it counts as it is.'))

        # @param ballots [Hash{Integer => Hash{String => String}}] votes by number of the question, and token
        # @param questions [Questions]
        # @return [Array<Hash>] `{ id:, count: }` of those whose votes are others than told; one that took in others counts everyone who
        #   asked
        #   either, once
        def self.counts(ballots, questions)
          rows = questions.all.values
          rows.reject { |question| question[:state] == 'merged' }.filter_map do |question|
            taken_in = rows.select { |one| one[:into] == question[:id] }
            voters = voters(ballots, question, UP) | taken_in.flat_map { |one| voters(ballots, one, UP, OWN) }
            count = (voters - voters(ballots, question, OWN)).length
            { id: question[:id], count: count } unless count == question[:votes]
          end
        end

        def self.voters(ballots, question, *values)
          (ballots[question[:number]] || {}).select { |_, value| values.include?(value) }.keys
        end
        private_class_method :voters
      end
    end
  end
end
