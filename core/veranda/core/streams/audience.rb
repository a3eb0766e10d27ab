# frozen_string_literal: true

module Veranda
  module Core
    module Streams
      # Who may read which streams of a class. Decided here once, when someone subscribes
      # and again when a right or the doors change; a stream is never filtered entry by entry.
      module Audience
        module_function

        # @param person [Person]
        # @param sitting [Sittings::Sitting]
        # @return [Array<String>] names of streams, the sitting's own first
        def readable(person, sitting)
          own = StreamName.sitting(sitting.id)
          return [own] unless person.staff? || sitting.open? || sitting.ended?

          boards = sitting.boards.select { |board| board[:audience] == 'everyone' || person.staff? }
          [own, StreamName.exchange(sitting.id), *boards.map { |board| StreamName.board(board[:id]) }]
        end

        # @return [Boolean]
        def reads?(person, sitting, stream) = readable(person, sitting).include?(stream)
      end
    end
  end
end
