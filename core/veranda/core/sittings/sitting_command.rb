# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # What the commands on a class and its places share.
      class SittingCommand < Command
        looks_at :sitting

        private

        # @return [String] the place that the command is given in
        def here = Streams::StreamName.part(scene.name(:place))

        # @return [Seat, nil] of whoever asks
        def seat = sitting.seats[by.id]

        def going_on!
          raise Refusal.new(:class_ended, 'This class has ended.') if sitting.ended?
          raise Refusal.new(:doors_closed, 'The doors are not open yet.') unless sitting.open?
        end

        # Whoever asks has to be in the place.
        def in_here! = here!(seat, 'You are not in this room.')

        # @param seat [Seat, nil]
        # @return [Seat] the same, of somebody who is in the place
        def here!(seat, says)
          return seat if seat && !seat.left? && !seat.out? && seat.place == here

          raise Refusal.new(:not_here, says)
        end

        # @param id [String]
        # @return [String] the same, when students may see the board; that of a breakout room in its room alone
        def open_board!(id)
          board = plan.board(id) or raise Refusal.new(:no_such_board, 'That board does not belong to this class.')
          return id if plan.open_board(id) || (board[:room] && board[:room] == here)

          raise Refusal.new(:board_for_staff, 'Students cannot see that board. Change its audience first.')
        end
      end
    end
  end
end
