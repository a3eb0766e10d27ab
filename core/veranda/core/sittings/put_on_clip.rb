# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Begins to play a sound or clip of the shelf for everybody in the place. Given by the server, which has looked at the material.
      class PutOnClip < SittingCommand
        on :place, 'class.put_on_clip'
        contract do
          required(:material).value(Types::ID)
          required(:version).value(:integer, gteq?: 1)
          required(:kind).value(:string, included_in?: Clip::KINDS)
          required(:title).value(:string, max_size?: 120)
          required(:length).value(:integer, gteq?: 1, lteq?: Clip::LONGEST)
        end

        def decide
          staff!('Only instructors and assistants play something for everyone.')
          going_on!
          entry('clip_on', input)
        end
      end
    end
  end
end
