# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # What the commands on the rooms of a class share.
      class RoomsCommand < Sittings::SittingCommand
        include Sittings::PuttingDown

        looks_at :staff

        # People moved by one command.
        MOST_MOVED = 300

        def self.place_streams(concern, ids)
          ids.compact.uniq.map { |id| Streams::StreamName.place(concern.sitting_id, id) }
        end

        private

        def teaching!
          staff!('Only instructors and assistants arrange rooms.')
          raise Refusal.new(:class_ended, 'This class has ended.') if sitting.ended?
        end

        # @return [Hash] the activity that is named
        def activity!
          plan.activities[input[:activity]] || raise(Refusal.new(:no_such_activity, 'There are no such rooms any more. Deal again.'))
        end

        # @return [Hash] the same, while its rooms are open
        def open_activity!
          activity!.tap { |activity| raise Refusal.new(:rooms_closed, 'These rooms are closed.') unless activity[:state] == 'open' }
        end

        # @return [Hash]
        def room!(activity, id)
          activity[:rooms].find { |room| room[:id] == id } || raise(Refusal.new(:no_such_room, 'That room is not there any more.'))
        end

        # @return [Hash]
        def open_room!(activity, id)
          room!(activity, id).tap { |room| raise Refusal.new(:rooms_closed, "“#{room[:name]}” is closed.") unless room[:open] }
        end

        def place_stream(place) = Streams::StreamName.place(sitting.id, place)

        # Puts people into a place, each out of the one they are in.
        # @param people [Array<String>]
        # @return [Array<Streams::Draft>]
        def taken_to(place, people)
          there = people.select { |id| sitting.in?(id) && sitting.seats[id].place != place }
          return [] if there.empty?

          [entry('seated', { people: there, place: place }, on: :sitting),
           *there.flat_map { |id| [*put_down(id, sitting.seats[id].place), entry('placed', { place: place }, on: scene.own_of(id))] }]
        end
      end
    end
  end
end
