# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `sitting/ID`: what concerns the whole class.
        class Sitting < Kind
          def state_class = Sittings::Sitting
          def told(reader) = reader.waits? ? [] : [name(reader.id)]
          def recorded(sitting) = [name(sitting.id)]
          def recorded? = true
        end
      end
    end
  end
end
