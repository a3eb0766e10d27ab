# frozen_string_literal: true

require 'que'

module Veranda
  module Workshop
    # What the jobs of a worker process work with. `workshop.rb` at the root sets it up; Que makes the
    # jobs by itself, so it cannot be passed to them.
    module Work
      class << self
        # @return [Store::Archive]
        attr_accessor :archive

        # Lets jobs be put into the queue of a database, in the transaction under way.
        # @param archive [Store::Archive]
        def open(archive)
          self.archive = archive
          Que.connection = archive.db
        end
      end
    end
  end
end
