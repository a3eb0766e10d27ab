# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # What students may do with a board outside of class. A board for staff is never open to them.
      #
      #   closed  they do not see it
      #   read    they read it, before and after the class
      #   work    they may also draw and write on it by themselves
      module Outside
        module_function

        # @param board [Hash] `:audience`, `:people`, `:outside`; boards of old plans say nothing of the latter, which means `read`
        # @param person [String] id of somebody who does not teach
        # @return [Boolean]
        def reads?(board, person) = Audience.includes?(board, person) && board[:outside] != 'closed'
      end
    end
  end
end
