# frozen_string_literal: true

module Veranda
  module Live
    # What a peer may do, by stream, and where it is: worked out anew from the streams each time.
    class Allowances
      # @param archive [Store::Archive]
      def initialize(archive)
        @archive = archive
      end

      # Each board has its own answer. While the class goes on, so do its rules.
      # @param boards [Hash{String => Hash}] by stream
      # @return [Hash{String => Hash{Symbol => Core::Rights::Answer}}]
      def in_lesson(peer, boards, performer, lesson)
        sitting, place = open_class(performer, lesson) unless peer.person.staff?
        boards.transform_values do |board|
          Core::Rights::Ask.all(by: peer.person, sitting: sitting, place: place, outside: board[:outside])
        end
      end

      # Of every place that one reads, and of one's own boards.
      # @return [Hash{String => Hash{Symbol => Core::Rights::Answer}}]
      def in_class(peer, sitting, staff, performer)
        of_places(peer, sitting, performer).merge(of_own(peer, sitting, staff, performer))
      end

      # @return [Stage::Standing] without rights
      def standing(peer, sitting, performer)
        place = place_in(peer, sitting)
        here = place && performer.copy(names.place(sitting.id, place)).state
        Stage::Standing.new(sitting: sitting.id, place: place, recorded: recorded?(sitting, place, here),
                            shares: here&.screen&.fetch(:person) == peer.person.id, address: address(peer, sitting), large: here&.large,
                            hears: place ? hears(peer, sitting, place, performer) : [])
      end

      private

      # While there is a class to be in.
      def place_in(peer, sitting)
        place = sitting.seats[peer.person.id].place if sitting.open? && sitting.in?(peer.person.id)
        place unless place == Core::Sittings::Places::WAITING
      end

      # In the main room, and in rooms that are planned so.
      def recorded?(sitting, place, here)
        sitting.recording? && (place == Core::Sittings::Places::MAIN || here&.room&.fetch(:recorded, false) == true)
      end

      # What of somebody goes to all rooms.
      def address(peer, sitting)
        return unless sitting.address&.fetch(:person) == peer.person.id

        { **sitting.address.slice(:voice, :screen), rooms: sitting.rooms }
      end

      # Rooms that somebody may hear without being in them: staff those whose plan opens their doors.
      def hears(peer, sitting, place, performer)
        return [] unless peer.person.staff?

        (sitting.rooms - [place]).select { |room| performer.copy(names.place(sitting.id, room)).state.room&.fetch(:read, false) }
      end

      def names = Core::Streams::StreamName

      def open_class(performer, lesson)
        id = @archive.sittings.open_of(lesson[:id]) or return
        [names.sitting(id), names.place(id, Core::Sittings::Places::MAIN)].map { |name| performer.copy(name).state }
      end

      def of_own(peer, sitting, staff, performer)
        staff.own_boards(peer.person.id).to_h do |board|
          place = performer.copy(names.place(sitting.id, Core::Sittings::Places::MAIN)).state
          [names.board(board[:id]), Core::Rights::Ask.all(by: peer.person, sitting: sitting, place: place, own: true)]
        end
      end

      def of_places(peer, sitting, performer)
        places = sitting.places.map { |place| place[:id] }
        places &= [sitting.in?(peer.person.id) ? sitting.seats[peer.person.id].place : nil] unless peer.person.staff?
        places.to_h do |id|
          stream = names.place(sitting.id, id)
          [stream, Core::Rights::Ask.all(by: peer.person, sitting: sitting, place: performer.copy(stream).state)]
        end
      end
    end
  end
end
