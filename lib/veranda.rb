# frozen_string_literal: true

require 'json'
require 'zeitwerk'

# The whole of Veranda; `core/veranda_core.rb` loads the rules alone.
module Veranda
  ROOT = File.expand_path('..', __dir__)

  loader = Zeitwerk::Loader.new
  loader.push_dir(File.join(ROOT, 'core'))
  loader.push_dir(__dir__)
  loader.ignore(__FILE__, File.join(ROOT, 'core/veranda_core.rb'), File.join(__dir__, 'setup'),
                File.join(__dir__, 'veranda/store/migrations'))
  loader.collapse(File.join(ROOT, 'core/veranda/core/boards/*'), File.join(ROOT, 'core/veranda/core/polls/*'),
                  File.join(ROOT, 'core/veranda/core/recordings/*'))
  loader.setup
end
