# frozen_string_literal: true

module Veranda
  module Core
    module Exchange
      # Deletes a post in a thread. See {DeletePost}.
      class DeleteInThread < DeletePost
        on :thread, 'thread.delete'
      end
    end
  end
end
