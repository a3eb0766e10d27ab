# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Begins to play a sound or clip of the shelf for everybody in the place, and in these rooms in the same instant. Given by the server,
      # which has looked at the material.
      class PutOnClip < SittingCommand
        on :place, 'class.put_on_clip'
        touches { |concern| Clip.rooms(concern) }
        contract do
          Clip::ROOMS.call(self)
          required(:material).value(Types::ID)
          required(:version).value(:integer, gteq?: 1)
          required(:kind).value(:string, included_in?: Clip::KINDS)
          required(:title).value(:string, max_size?: 120)
          # Where it is, when it is not on the shelf itself.
          optional(:address).value(:string, max_size?: 1_000, format?: %r{\Ahttps?://[^\s"<>]+\z})
          required(:length).value(:integer, gteq?: 1, lteq?: Clip::LONGEST)
        end

        def decide
          staff!('Only instructors and assistants play something for everyone.')
          going_on!
          facts = input.except(:rooms)
          rooms = (input[:rooms] || []).uniq.select { |room| sitting.place?(room) && room != here }
          [entry('clip_on', facts), *rooms.map { |room| entry('clip_on', facts, on: Streams::StreamName.place(sitting.id, room)) }]
        end
      end
    end
  end
end
