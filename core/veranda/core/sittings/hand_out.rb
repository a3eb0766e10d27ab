# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Hands a board out: from now on everyone works on a copy of their own where the board is on show; or gathers it in again. The copies
      # themselves are made aside and given by {GiveCopies}, to late arrivals too.
      class HandOut < SittingCommand
        # Boards that may be out at once.
        MOST = 10

        on :sitting, 'class.hand_out'
        looks_at :staff
        contract do
          required(:board).value(Types::ID)
          required(:on).value(:bool)
        end

        def decide
          staff!('Only instructors and assistants hand boards out.')
          going_on!
          return (entry('gathered_in', { board: input[:board] }) if sitting.handed.include?(input[:board])) unless input[:on]

          open_board!(input[:board])
          return if sitting.handed.include?(input[:board])
          if sitting.handed.length >= MOST
            raise Refusal.new(:too_many_handed_out,
                              "As many as #{MOST} boards are handed out already. Gather one in first.")
          end

          entry('handed_out', { board: input[:board] })
        end

        # @param sitting [Sitting]
        # @param staff [StaffFacts]
        # @return [Hash{String => Array<String>}] by board that is handed out, who is here and has no copy of it yet
        def self.missing(sitting, staff)
          return {} if sitting.handed.empty?

          here = sitting.present.reject(&:staff?).map(&:id)
          have = staff.copies.each_value.group_by { |copy| copy[:of] }.transform_values do |copies|
            copies.flat_map do |copy|
              GiveCopies.holders(copy)
            end
          end
          open = sitting.handed.select { |board| staff.open_board(board) }
          open.to_h { |board| [board, here - (have[board] || [])] }.reject { |_, people| people.empty? }
        end
      end
    end
  end
end
