# frozen_string_literal: true

# Loads the core alone: these specs run with no database and no server.
$LOAD_PATH.unshift(File.expand_path('../core', __dir__))
require 'json'
require 'veranda_core' unless defined?(Veranda::ROOT)
require_relative 'support/stage'

# Short, since every spec of the core speaks of it.
Core = Veranda::Core

RSpec.configure { |config| config.include Stage }
