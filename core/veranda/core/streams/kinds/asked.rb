# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `asked/ID`: what was asked and waits for review, for staff.
        class Asked < Kind
          def state_class = Core::Questions::Questions
          def told(reader) = reader.staff? ? [name(reader.id)] : []
        end
      end
    end
  end
end
