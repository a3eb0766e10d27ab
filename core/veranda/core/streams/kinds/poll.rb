# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `poll/ID.POLL`: what is asked, its rounds, what was shown of the answers. Which of them a recording shows they tell themselves.
        class Poll < Kind
          def part = :poll
          def state_class = Polls::Poll

          def told(reader)
            return [] if reader.waits?

            polls = reader.facts.polls
            (reader.staff? ? polls.begun : polls.for_place(reader.place)).map { |poll| name(reader.id, poll[:id]) }
          end

          def recorded? = true
        end
      end
    end
  end
end
