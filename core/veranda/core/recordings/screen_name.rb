# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # The name by which the screen that somebody shares is known beside them.
      module ScreenName
        ENDING = '--screen'

        module_function

        # @param person [String] id
        def of(person) = "#{person}#{ENDING}"

        # @return [Boolean]
        def screen?(name) = name.end_with?(ENDING)

        # @return [String] id of whose it is, also of a name that is nobody's screen
        def person(name) = name.delete_suffix(ENDING)
      end
    end
  end
end
