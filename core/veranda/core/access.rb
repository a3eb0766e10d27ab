# frozen_string_literal: true

module Veranda
  module Core
    # The one answer to "who may read this?": streams, boards and their files, slides, originals and recordings, in class,
    # outside of class and by link. What somebody may *do* is for {Rights::Ask}.
    #
    #   Access::InClass.new(farah, sitting, staff).streams #=> ["own/7.farah", "place/7.waiting"]
    #
    # Which streams somebody reads of a class, or of a course, each kind of them says ({Streams::Kinds}) of a reader who looks at it
    # ({InClass}, {InCourse}); all else is here.
    #
    # | who | of a class | of its lesson outside of class |
    # |---|---|---|
    # | staff of the course | everything but the threads of others, and what is written in rooms that they are not in | everything |
    # | a student or guest who was let in | what concerns all, their place, threads, copies, boards for all or them | these, unless closed |
    # | … who waits | the waiting room | the same |
    # | … who was removed, or sent out to wait | nothing; the waiting room | nothing while it goes on |
    # | … after the class | the same, without boards that are closed | the same |
    # | a stand-in | as a student, in rehearsals alone | nothing |
    # | a student to whom a recording is shared, or whoever has a link to it | what students could read while it ran | nothing |
    #
    # Originals of documents and pictures are for staff, because they carry notes; those of sounds and clips go with the board.
    module Access
      module_function

      # Whether a board may be read outside of the live class: its pages, its files, its stream.
      # @param person [Person, nil] the person in their role in the board's lesson; nil for strangers
      # @param board [Hash] `{ audience:, people:, outside:, rehearsal_id: }`
      # @param taught [Boolean] whether the person is let in to an open class of the lesson
      # @param turned_out [Boolean] whether they were turned out of one, see {turned_out?}
      def board?(person, board, taught: false, turned_out: false)
        return false if person.nil? || person.stand_in?
        return true if person.staff?
        return false if turned_out || board[:rehearsal_id] || !Lessons::Audience.includes?(board, person.id)

        taught || Lessons::Outside.reads?(board, person.id)
      end

      # Whoever was removed from a class that goes on, or sent out to wait, is so by every door, until let in again.
      # @param person [Person]
      # @param sitting [Sittings::Sitting]
      # @param staff [Sittings::StaffFacts]
      def turned_out?(person, sitting, staff)
        return false if person.staff? || !sitting.open?

        staff.removed.key?(person.id) || sitting.seats[person.id]&.out? || false
      end

      # Whether a slide, thumbnail or poster of a material may be seen.
      # @param teaches [Boolean] whether they are staff of the course whose shelf it is on
      # @param boards [Boolean] whether they may read any board that shows it
      # @param recorded [Boolean] whether they may watch a recording in which a board for everyone shows it
      # @param welcomes [Boolean] whether it is the picture of a welcome to a lesson in which they have a part
      # @param posted [Boolean] whether it was posted where they read
      # @param asked [Boolean] whether a poll that was put to them shows it
      def slide?(teaches:, boards: false, recorded: false, welcomes: false, posted: false, asked: false)
        teaches || boards || recorded || welcomes || posted || asked
      end

      # Whether the file may be had as it was brought.
      # @param kind [String] see {Materials::Kinds}
      # @param posted [Boolean] whether it was posted where they read: then it was meant to be had
      def original?(kind:, teaches:, posted: false, **seen)
        teaches || posted || (%w[sound clip].include?(kind) && slide?(teaches: false, **seen))
      end

      # Whether a recording may be watched.
      # @param person [Person, nil] in their role in its lesson
      # @param shared [Boolean] with the course
      # @param link [Boolean] whether they hold a link to it that is good
      # @param rehearsal [Boolean]
      def recording?(person, shared:, link:, rehearsal: false)
        return person&.staff? || false if rehearsal

        person&.staff? || link || (shared && !person.nil? && !person.stand_in?) || false
      end

      # What of a class a recording may show: what every student of the class could read. Boards for staff are never
      # part of it, nor who waited.
      # @param sitting [Sittings::Sitting]
      # @return [Array<String>] names of streams
      def recorded(sitting)
        Streams::Kinds.recorded.flat_map { |kind| kind.recorded(sitting) }
      end

      # Rooms of an activity whose boards and words somebody sees who watches the recording of the class: all, if they teach it; else
      # those in which they sat and those that are shared. Who has only a link to the recording sees none.
      # @param activity [Hash, nil] see {Rooms::Activities}
      # @param person [String, nil] id
      # @return [Array<Hash>]
      def recorded_rooms(activity, person, teaches:)
        (activity ? activity[:rooms] : []).select { |room| teaches || (!person.nil? && (room[:shared] || room[:sat].include?(person))) }
      end

      # Whether somebody hears and sees those who were in one of these rooms. That its work is shared shares nothing of what was said.
      # @param room [Hash] `{ sat: }`
      def heard_room?(room, person, teaches:) = teaches || room[:sat].include?(person)

      # Rooms whose words are in a transcript that staff save: those that are closed, and while they are open those whose doors are.
      # @return [Array<Hash>] `{ id:, name: }`
      def written_rooms(sitting, staff)
        rooms = sitting.activities.flat_map { |activity| activity[:rooms] }.uniq { |room| room[:id] }
        shut = staff.activities.doors_open? ? [] : staff.activities.open_rooms.map { |room| room[:id] }
        rooms.reject { |room| shut.include?(room[:id]) }
      end
    end
  end
end
