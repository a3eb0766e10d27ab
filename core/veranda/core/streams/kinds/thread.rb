# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      module Kinds
        # `thread/ID.THREAD`: what a few people write to one another. It is read by them, and by staff where that was so when it began;
        # nobody else, ever.
        class Thread < Kind
          def part = :thread
          def state_class = Core::Exchange::Thread

          def told(reader)
            return [] if reader.waits?

            [*reader.own&.threads, *(reader.facts.threads if reader.staff?)].map { |thread| name(reader.id, thread[:id]) }.uniq
          end

          def reads?(reader, stream) = told(reader).include?(stream)
        end
      end
    end
  end
end
