# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # What a deal came to.
      #
      # - `rooms`: ids of people in each room
      # - `again`: pairs that meet again, with how often they have met, as `[one, other, times]`
      # - `bound`: how many must at least meet again, by counting
      # - `cost`: `{ hard:, again:, soft: }`, wishes broken, pairs that meet again, and from 0 (as wished) to 1 for what is to be mixed or
      #   levelled
      # - `contradictions`: sets of hard wishes that cannot be met together, of each of which the last was given up
      # - `given_up`: hard wishes that were not met
      Dealt = Struct.new(:rooms, :again, :bound, :cost, :contradictions, :given_up, keyword_init: true)
    end
  end
end
