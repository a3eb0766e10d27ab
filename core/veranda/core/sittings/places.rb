# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # The places of a class. Everyone in a class is in exactly one of them. What is on show, the house rules,
      # the timer, hands and what is written belong to a place. The waiting room is where one is until let in.
      module Places
        MAIN = 'main'
        WAITING = 'waiting'
        # What a class has from the beginning; the waiting room goes without saying.
        FIRST = [{ id: MAIN, name: 'Main room' }].freeze
      end
    end
  end
end
