# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `plan/ID`: what is to be done in a lesson, and when, for those who teach it. A class takes its own plan from it when it is set up.
        class Plan < Kind
          def owner = :lesson
          def state_class = Lessons::Plan
          def told(reader) = reader.staff? ? [name(reader.id)] : []
        end
      end
    end
  end
end
