# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # Sets a sign to a post in a thread. See {React}.
      class ReactInThread < React
        on :thread, 'thread.react'
      end
    end
  end
end
