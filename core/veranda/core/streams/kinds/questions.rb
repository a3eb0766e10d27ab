# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `questions/ID`: what was asked, for everyone in a class.
        class Questions < Kind
          def state_class = Core::Questions::Questions
          def told(reader) = reader.waits? ? [] : [name(reader.id)]
          def recorded(sitting) = [name(sitting.id)]
          def recorded? = true
        end
      end
    end
  end
end
