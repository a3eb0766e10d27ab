# frozen_string_literal: true

# Loads the rules of the job alone: no database, no server, no clock.
require 'zeitwerk'

Zeitwerk::Loader.new.tap do |loader|
  loader.push_dir(__dir__)
  loader.ignore(__FILE__)
  loader.collapse("#{__dir__}/veranda/core/boards/*", "#{__dir__}/veranda/core/polls/*", "#{__dir__}/veranda/core/recordings/*")
  loader.setup
end
