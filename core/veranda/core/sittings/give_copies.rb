# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Own copies of a board that was handed out are ready. Each person learns of theirs, and staff of all. A copy may be for several
      # `with` one another.
      class GiveCopies < SittingCommand
        # Copies in one command.
        MOST = 100

        on :sitting, 'class.give_copies'
        touches :staff
        begins { |concern| concern.input[:copies].flat_map { |copy| GiveCopies.holders(copy) }.map { |id| concern.own_of(id) } }
        contract do
          required(:board).value(Types::ID)
          required(:copies).value(:array, max_size?: MOST).each do
            hash do
              required(:board).value(Types::ID)
              required(:person).value(Types::ID)
              optional(:with).value(:array, max_size?: 2).each(Types::ID)
            end
          end
        end

        # @param copy [Hash] `{ board:, person:, with: }`
        # @return [Array<String>] ids of those whose copy it is
        def self.holders(copy) = [copy[:person], *copy[:with]]

        def decide
          copies = input[:copies].reject { |copy| plan.copies.key?(copy[:board]) }.map { |copy| { **copy, of: input[:board] } }
          return if sitting.ended? || copies.empty?

          [entry('copies_given', { copies: copies }, on: :staff),
           *copies.flat_map { |copy| given(copy) }]
        end

        private

        def given(copy)
          GiveCopies.holders(copy).map { |person| entry('copy_given', copy.slice(:board, :of, :with), on: scene.own_of(person)) }
        end
      end
    end
  end
end
