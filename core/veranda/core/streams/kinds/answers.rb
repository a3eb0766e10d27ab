# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `answers/ID.POLL`: what was answered to a poll, for the server alone: others are told what it comes to.
        class Answers < Kind
          def part = :poll
          def state_class = Polls::Answers
          def reads?(_reader, _stream) = false
        end
      end
    end
  end
end
