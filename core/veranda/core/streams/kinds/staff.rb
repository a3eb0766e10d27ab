# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `staff/ID`: what of a class only staff may read.
        class Staff < Kind
          def state_class = Sittings::StaffFacts
          def told(reader) = reader.staff? ? [name(reader.id)] : []
        end
      end
    end
  end
end
