# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # What somebody leaves behind who goes out of a place: their hand goes down, their signal with it, the floor
      # returns, their screen is shared no more, and nobody is led by them any more.
      module PuttingDown
        private

        # @param person [String]
        # @param place [String] id of the place, declared by the command
        # @return [Array<Streams::Draft>]
        def put_down(person, place)
          stream = Streams::StreamName.place(sitting.id, place)
          left = scene.of(stream)
          [(entry('hand_lowered', { person: person }, on: stream) if left.hands.include?(person)),
           (entry('signal_off', { people: [person] }, on: stream) if left.signals.key?(person)),
           (entry(*Floor.without(left.floor, person), on: stream) if Floor.people(left.floor).include?(person)),
           (entry('made_large', { person: nil }, on: stream) if left.large == person),
           (entry('roaming', on: stream) if left.leader == person),
           (entry('screen_off', on: stream) if left.screen&.fetch(:person) == person)]
        end
      end
    end
  end
end
