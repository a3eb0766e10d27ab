# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `own/ID.PERSON`: what concerns one person in a class.
        class Own < Kind
          def part = :person
          def state_class = Sittings::OwnFacts
          def told(reader) = [name(reader.id, reader.person.id)]
        end
      end
    end
  end
end
