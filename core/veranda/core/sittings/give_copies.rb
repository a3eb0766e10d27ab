# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Own copies of a board that was handed out are ready. Each person learns of theirs, and staff of all.
      class GiveCopies < SittingCommand
        # Copies in one command.
        MOST = 100

        on :sitting, 'class.give_copies'
        touches :staff
        begins { |concern| concern.input[:copies].map { |copy| concern.own_of(copy[:person]) } }
        contract do
          required(:board).value(Types::ID)
          required(:copies).value(:array, max_size?: MOST).each do
            hash do
              required(:board).value(Types::ID)
              required(:person).value(Types::ID)
            end
          end
        end

        def decide
          copies = input[:copies].reject { |copy| plan.copies.key?(copy[:board]) }.map { |copy| { **copy, of: input[:board] } }
          return if sitting.ended? || copies.empty?

          [entry('copies_given', { copies: copies }, on: :staff),
           *copies.map { |copy| entry('copy_given', copy.slice(:board, :of), on: scene.own_of(copy[:person])) }]
        end
      end
    end
  end
end
