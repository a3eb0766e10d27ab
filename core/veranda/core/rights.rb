# frozen_string_literal: true

module Veranda
  module Core
    # What students may do, and why or why not.
    module Rights
      # Each right with the words that finish "You may …".
      RIGHTS = { draw: 'draw on this board', post: 'write in the exchange', props: 'use props',
                 arrange: 'change what others put on the board' }.freeze
    end
  end
end
