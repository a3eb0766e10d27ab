# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Plays, holds or moves what everybody in the place hears and sees, faster or slower, or a stretch of it again and again; and the same
      # in those of these rooms in which it plays too.
      class SetClip < SittingCommand
        on :place, 'class.set_clip'
        touches { |concern| Clip.rooms(concern) }
        contract do
          Clip::ROOMS.call(self)
          # Which it is: one that was put on meanwhile is left alone.
          required(:material).value(Types::ID)
          optional(:playing).value(:bool)
          # ms into it
          optional(:at).value(:integer, gteq?: 0, lteq?: Clip::LONGEST)
          optional(:speed).value(included_in?: Clip::SPEEDS)
          optional(:loop).maybe(:array, size?: 2)
          optional(:off).value(:bool)
        end

        def decide
          staff!('Only instructors and assistants play something for everyone.')
          going_on!
          clip = place.clip
          return unless clip && clip[:material] == input[:material]

          facts = { playing: clip[:playing], at: Clip.position(clip, scene.at), speed: clip[:speed], loop: clip[:loop],
                    **input.slice(:playing, :speed), **moved(clip), **looped(clip) }
          where.map { |stream| input[:off] ? entry('clip_off', on: stream) : entry('clip_set', facts, on: stream) }
        end

        private

        def where
          rooms = (input[:rooms] || []).select { |room| sitting.place?(room) }.map { |room| Streams::StreamName.place(sitting.id, room) }
          [scene.name(:place), *rooms.select { |stream| scene.of(stream).clip&.fetch(:material) == input[:material] }].uniq
        end

        def moved(clip) = input[:at] ? { at: [input[:at], clip[:length]].min } : {}

        def looped(clip)
          return {} unless input.key?(:loop)
          return { loop: nil } unless input[:loop]

          from, to = input[:loop]
          return { loop: [from, to] } if [from, to].all?(Integer) && from >= 0 && to <= clip[:length] && to - from >= Clip::SHORTEST_LOOP

          raise Refusal.new(:bad_input, 'A stretch that is played again has a beginning, and an end at least half a second later.')
        end
      end
    end
  end
end
