# frozen_string_literal: true

module Veranda
  module Core
    # The one answer to "who may read this?": streams, boards and their files, slides, originals and recordings, in class,
    # outside of class and by link. What somebody may *do* is for {Rights::Ask}.
    #
    #   Access.streams(farah, sitting, staff) #=> ["own/7.farah", "place/7.waiting"]
    #
    # What a few people write to one another is read by them, and by staff where that was so when it began; nobody else, ever.
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

      # @param person [Person]
      # @param sitting [Sittings::Sitting]
      # @param staff [Sittings::StaffFacts]
      # @return [Symbol, nil] `:staff`, `:in`, `:waiting`, or nil for those with no part in the class
      def standing(person, sitting, staff)
        return if sitting.rehearsal && !(person.staff? || person.stand_in?)
        return if person.stand_in? && !sitting.rehearsal
        return :staff if person.staff?
        return if staff.removed.key?(person.id)
        return :in if sitting.in?(person.id)

        :waiting unless sitting.ended?
      end

      # The streams of a class that somebody is told. Staff may read everybody's copies of what was handed out too ({reads?}), and are told
      # of those that they look at.
      # @param person [Person]
      # @param sitting [Sittings::Sitting]
      # @param staff [Sittings::StaffFacts]
      # @param own [Sittings::OwnFacts, nil] what concerns the person alone; without it no threads
      # @return [Array<String>] names of streams
      def streams(person, sitting, staff, own = nil)
        standing = standing(person, sitting, staff) or return []
        return without_boards(standing, person, sitting, staff) if standing == :waiting

        open = [*staff.boards, *staff.copies_for(person.id), *staff.activities.boards_for(person.id, sitting.seats[person.id]&.place)]
               .select { |board| board_in_class?(person, board, sitting) }
        [*without_boards(standing, person, sitting, staff), *threads(standing, sitting, staff, own),
         *open.map { |board| Streams::StreamName.board(board[:id]) }]
      end

      # @return [Boolean]
      def reads?(person, sitting, staff, stream, own = nil)
        standing = standing(person, sitting, staff) or return false
        case Streams::StreamName.kind(stream)
        when :board then return board_in_class?(person, staff.board(Streams::StreamName.id(stream)), sitting)
        when :thread then return threads(standing, sitting, staff, own).include?(stream)
        end
        return staff_reads?(person, sitting, staff, stream) if standing == :staff

        without_boards(standing, person, sitting, staff).include?(stream)
      end

      # What is written in a breakout room is read by staff who are in it; by others while it is open only where its doors are, which those
      # inside are told.
      def staff_reads?(person, sitting, staff, stream)
        names = Streams::StreamName
        return false unless names.sitting_id(stream) == sitting.id

        case names.kind(stream)
        when :exchange then overhears?(person, sitting, staff, names.part(stream))
        # What was answered is told as what it comes to, what was edited as what is left.
        when :answers, :recording then false
        else true
        end
      end
      private_class_method :staff_reads?

      def overhears?(person, sitting, staff, place)
        open = staff.activities.open_rooms.any? { |room| room[:id] == place }
        !open || doors_open?(staff) || sitting.seats[person.id]&.place == place
      end
      private_class_method :overhears?

      def doors_open?(staff) = staff.activities.open&.dig(:plan, :open_doors) || false
      private_class_method :doors_open?

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
        public_streams(sitting, Sittings::Places::MAIN) + sitting.boards.map { |board| Streams::StreamName.board(board[:id]) }
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
        shut = doors_open?(staff) ? [] : staff.activities.open_rooms.map { |room| room[:id] }
        rooms.reject { |room| shut.include?(room[:id]) }
      end

      # @param board [Hash, nil] as the class knows it
      def board_in_class?(person, board, sitting)
        return false if board.nil? || (!person.staff? && !sitting.in?(person.id))
        return true if person.staff?
        return room_board?(person, board, sitting) if board[:room]

        Lessons::Audience.includes?(board, person.id) && (!sitting.ended? || Lessons::Outside.reads?(board, person.id))
      end
      private_class_method :board_in_class?

      # While a room is open, whoever is in it; from then on, those who sat in it, and everyone where it is shared.
      def room_board?(person, board, sitting)
        board[:open] ? !sitting.ended? && sitting.seats[person.id].place == board[:room] : board[:shared] || board[:sat].include?(person.id)
      end
      private_class_method :room_board?

      def without_boards(standing, person, sitting, staff)
        own = Streams::StreamName.own(sitting.id, person.id)
        case standing
        when :waiting then [waiting_room(sitting), own]
        when :in
          place = sitting.seats[person.id].place
          [*public_streams(sitting, place), own, *polls(sitting, staff.polls.for_place(place))]
        else
          [Streams::StreamName.sitting(sitting.id), Streams::StreamName.staff(sitting.id), Streams::StreamName.questions(sitting.id),
           Streams::StreamName.asked(sitting.id), waiting_room(sitting), own,
           *sitting.places.flat_map { |place| of_place(sitting, place[:id]) }.select { |name| staff_reads?(person, sitting, staff, name) },
           *polls(sitting, staff.polls.begun)]
        end
      end
      private_class_method :without_boards

      def polls(sitting, rows) = rows.map { |row| Streams::StreamName.poll(sitting.id, row[:id]) }
      private_class_method :polls

      def threads(standing, sitting, staff, own)
        return [] if standing == :waiting

        known = [*own&.threads, *(staff.threads if standing == :staff)]
        known.map { |thread| Streams::StreamName.thread(sitting.id, thread[:id]) }.uniq
      end
      private_class_method :threads

      def public_streams(sitting, place)
        [Streams::StreamName.sitting(sitting.id), Streams::StreamName.questions(sitting.id), *of_place(sitting, place)]
      end
      private_class_method :public_streams

      def of_place(sitting, place)
        [Streams::StreamName.place(sitting.id, place), Streams::StreamName.exchange(sitting.id, place)]
      end
      private_class_method :of_place

      def waiting_room(sitting) = Streams::StreamName.place(sitting.id, Sittings::Places::WAITING)
      private_class_method :waiting_room
    end
  end
end
