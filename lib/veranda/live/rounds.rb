# frozen_string_literal: true

module Veranda
  module Live
    # What the classes of a gathering need by the clock. Each thing is said again until it is done, so nothing is lost when a server dies in
    # between.
    class Rounds
      include Terse

      # @param gathering [Gathering]
      # @param welcomes [Welcomes]
      def initialize(gathering, welcomes:)
        @gathering = gathering
        @welcomes = welcomes
        @seen = {}
      end

      # Tells all who are in a class how it goes against its plan; and the floor returns by itself where its time is over.
      def keep_time
        each_open do |sitting, staff, performer|
          @welcomes.tell_timing(sitting, staff)
          sitting.places.each { |place| end_floor(sitting.id, names.place(sitting.id, place[:id]), performer) }
        end
      end

      # Closes polls whose time is over; takes people to their rooms who have not gone there by themselves, and back from rooms whose time
      # is over.
      def keep_rooms
        each_open do |sitting, staff, performer|
          close_polls(sitting, staff, performer)
          activity = staff.activities.open or next
          gather(sitting, staff)
          bring_back(sitting, staff, activity, performer)
        end
      end

      private

      # Closes polls whose time is over.
      def close_polls(sitting, staff, performer)
        staff.polls.begun.each do |row|
          poll = performer.copy(names.poll(sitting.id, row[:id])).state
          watch_marks(names.poll(sitting.id, row[:id]), poll, performer) if poll.counts_marks? && poll.round
          round = Core::Polls::ClosePoll.due(poll, sitting, now) or next
          @gathering.observe('poll.close', sitting.id, house, on: names.staff(sitting.id), poll: row[:id], round: round)
        end
      end

      # Marks count as they fall: whenever the board is another than a moment ago.
      def watch_marks(stream, poll, performer)
        seq = performer.copy(names.board(poll.question[:board])).seq
        @gathering.poll_changed(stream) unless @seen[stream] == seq
        @seen[stream] = seq
      end

      def names = Core::Streams::StreamName
      def now = @gathering.hub.clock.call
      def house = Deciding::Perform::HOUSE

      def each_open
        @gathering.sittings.each do |id|
          @gathering.look(id) { |sitting, staff, performer| yield sitting, staff, performer if sitting.open? }
        end
      end

      def end_floor(sitting_id, stream, performer)
        floor = performer.copy(stream).state.floor
        return unless Core::Sittings::Floor.over?(floor, now)

        @gathering.observe('class.take_floor', sitting_id, house, on: stream, since: floor[:since])
      end

      def gather(sitting, staff)
        people = Core::Rooms::Gather.due(sitting, staff, now).first(Core::Rooms::RoomsCommand::MOST_MOVED)
        @gathering.observe('rooms.gather', sitting.id, house, people: people) if people.any?
      end

      def bring_back(sitting, staff, activity, performer)
        over = staff.activities.open_rooms.map { |room| room[:id] }
        over = over.select { |room| Core::Rooms::BringBack.over?(performer.copy(names.place(sitting.id, room)).state.room, now) }
        return if over.empty?

        @gathering.observe('rooms.bring_back', sitting.id, house, on: names.staff(sitting.id), activity: activity[:id], rooms: over,
                                                                  people: Core::Rooms::BringBack.inside(sitting, over))
      end
    end
  end
end
