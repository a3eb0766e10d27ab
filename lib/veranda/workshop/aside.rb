# frozen_string_literal: true

module Veranda
  module Workshop
    # Does what takes a while in a thread of its own, so that a server goes on with everyone else meanwhile.
    module Aside
      # @return [Object] what the block answers; what it raises is raised here
      def self.call(&)
        thread = Thread.new(&)
        thread.report_on_exception = false
        thread.value
      end
    end
  end
end
