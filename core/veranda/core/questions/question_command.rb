# frozen_string_literal: true

module Veranda
  module Core
    module Questions
      # What the commands on the questions of a class share: they are given on the stream that everyone reads.
      class QuestionCommand < Sittings::SittingCommand
        begins { |concern| [Streams::StreamName.questions(concern.sitting_id), Streams::StreamName.asked(concern.sitting_id)] }

        private

        def asked_stream = Streams::StreamName.asked(sitting.id)
        def asked = scene.of(asked_stream)

        # @return [Hash] the question that is named, as everyone reads it
        def question!
          state.all[input[:id]] || raise(Refusal.new(:no_such_question, 'There is no such question any more.'))
        end

        def open_question!
          question!.tap do |question|
            raise Refusal.new(:question_answered, 'This question was answered already.') unless question[:state] == 'open'
          end
        end

        def teaching! = staff!('Only instructors and assistants do that with questions.')
      end
    end
  end
end
