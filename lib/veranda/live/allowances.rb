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

      # @return [String, nil] where somebody is, while there is a class to be in
      def place_in(peer, sitting)
        place = sitting.seats[peer.person.id].place if sitting.open? && sitting.in?(peer.person.id)
        place unless place == Core::Sittings::Places::WAITING
      end

      # @return [Boolean] whether what is said where somebody is, is recorded: in the main room, and in rooms that are planned so
      def recorded?(peer, sitting, performer)
        place = place_in(peer, sitting) or return false
        sitting.recording? && (place == Core::Sittings::Places::MAIN || room_of(sitting, place, performer)[:recorded]) ? true : false
      end

      # @return [Hash, nil] what of somebody goes to all rooms, see {Stage::Standing}
      def address(peer, sitting)
        return unless sitting.address&.fetch(:person) == peer.person.id

        { **sitting.address.slice(:voice, :screen), rooms: rooms(sitting) }
      end

      # @return [String, nil] id of who is large for everybody where somebody is
      def large(peer, sitting, performer)
        place = place_in(peer, sitting)
        place && performer.copy(names.place(sitting.id, place)).state.large
      end

      # @return [Array<String>] rooms that somebody may hear without being in them: staff those whose plan opens their doors
      def hears(peer, sitting, performer)
        place = place_in(peer, sitting) or return []
        peer.person.staff? ? (rooms(sitting) - [place]).select { |room| room_of(sitting, room, performer)[:read] } : []
      end

      # @return [Boolean] whether it is somebody's screen that is shared where they are
      def shares?(peer, sitting, performer)
        place = place_in(peer, sitting) or return false
        performer.copy(names.place(sitting.id, place)).state.screen&.fetch(:person) == peer.person.id
      end

      private

      def rooms(sitting) = sitting.places.select { |place| place[:activity] }.map { |place| place[:id] }
      def room_of(sitting, place, performer) = performer.copy(names.place(sitting.id, place)).state.room || {}

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
