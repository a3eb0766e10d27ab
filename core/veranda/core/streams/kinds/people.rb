# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `people/ID`: who belongs to a course, and the part each plays there, for those who teach it.
        class People < Kind
          def owner = :course
          def state_class = Courses::People
          def told(reader) = reader.staff? ? [name(reader.id)] : []
        end
      end
    end
  end
end
