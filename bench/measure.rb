# frozen_string_literal: true

module Bench
  # What all measures begin with.
  class Measure
    # @param archive [Veranda::Store::Archive]
    # @param server [Class] makes server processes
    def initialize(archive, server)
      @archive = archive
      @server = server
      @crowd = Crowd.new(archive)
    end
  end
end
