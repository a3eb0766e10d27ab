# frozen_string_literal: true

module Veranda
  module Core
    # What students may do, and why or why not.
    module Rights
      # Each right with the words that finish "You may …".
      RIGHTS = { speak: 'speak', camera: 'show your camera', share: 'share a screen', draw: 'draw on this board',
                 arrange: 'change what others put on the board', add: 'add pages', bring: 'bring materials',
                 post: 'write in the exchange', threads: 'write to one another', props: 'use props',
                 record: 'record your room', caption: 'caption what is said' }.freeze
      # What whoever has the floor may do, see {Sittings::Floor}.
      FLOOR = %i[speak draw share].freeze
      # What somebody may do on a copy or board of their own, whatever the rules of the place are.
      OWN = %i[draw arrange add props].freeze
      # What comes with a board that students work on outside of class.
      OUTSIDE = %i[draw post props].freeze
    end
  end
end
