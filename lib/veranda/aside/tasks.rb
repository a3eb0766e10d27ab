# frozen_string_literal: true

require 'argon2'

module Veranda
  module Aside
    # What may be asked of the process beside. Answers are plain values; files are left in the scratch folder, for whoever asked to
    # give out and throw away.
    class Tasks
      include OfRecordings

      # What strangers ask for before anybody knows them.
      AT_THE_DOOR = :password_fits
      # Made anew each time, so never tried again.
      ONCE = %i[own_copy take_lesson take_recording rehearse put_forward pair_up deal_rooms open_rooms add_room give_boards
                side_by_side take_captions
                edit_recording].freeze
      SLOW = %i[board_pdf board_svg board_png lesson_pdf lesson_zip take_lesson take_recording recorded_writing everything_of
                recording_happened recording_levels after_class own_copy].freeze

      # @param archive [Store::Archive]
      # @param video_sites [Array<String>] see {Preparing::LinkedVideo}
      def initialize(archive, video_sites: [])
        @archive = archive
        @video_sites = video_sites
      end

      # @param name [Symbol]
      # @param arguments [Hash]
      # @return [Array] `[:done, result]` or `[:refused, code, says]`
      def call(name, arguments)
        tries ||= 0
        [:done, public_send(name, **arguments)]
      rescue Core::Refusal => e
        [:refused, e.code, e.says]
      rescue *Store::Database::AWAY => e
        # A connection may have died while nobody asked for anything.
        @archive.log.disconnect
        retry if (tries += 1) < 2 && !ONCE.include?(name)

        Console.warn(self, 'The database is away', e)
        [:refused, :away, 'This could not be reached just now. What you had is kept; try again in a moment.']
      rescue StandardError => e
        Complaint.of(self, "#{name} failed", e)
        return [:refused, :no_room, NoRoom::SAYS] if NoRoom.why?(e)

        [:refused, :fault, 'Something went wrong here. What you had is kept; try again in a moment.']
      end

      # @return [String] path of the file
      def board_pdf(board:) = file('pdf', files.pdf([[name(board), state(board)]]))
      def board_svg(board:, page:) = file('svg', files.svg(with_page(board, page), page, title: name(board)))
      def board_png(board:, page:) = file('png', files.png(with_page(board, page), page))
      def lesson_pdf(boards:) = file('pdf', files.pdf(boards.map { |board| [name(board), state(board)] }))
      def lesson_zip(lesson:) = file('zip', Workshop::LessonZip.new(@archive, @archive.lessons.fetch(lesson)).call)

      # @return [String] path of a zip with all that somebody did
      def everything_of(person:)
        File.join(@archive.files.scratch, "#{Store::Ids.call}.zip").tap { |path| Workshop::PersonZip.new(@archive, @archive.people.find(person)).write(path) }
      end

      # What a board looks like where it begins, kept until it changes.
      # @return [String] name in the store
      def board_small(board:)
        row = @archive.lessons.board(board)
        kept, seq = @archive.small_pictures.find(board)
        return kept if kept

        board_state, = @archive.log.state(stream(board))
        page = board_state.pages.include?(row[:first_page]) ? row[:first_page] : board_state.pages.first
        @archive.small_pictures.keep(board, seq, files.small(board_state, page))
      end

      # @return [String] JSON
      def board_at(board:, seq:) = JSON.generate(@archive.log.state_after(stream(board), seq).view)
      def board_changes(board:, page:) = JSON.generate(@archive.boards.changes(board, page))

      # @return [Hash] what somebody sees first
      def desk(person:, now:) = Preparing::Desk.new(@archive, person, now: now).call

      # @return [Hash] the lessons of somebody's courses, see {Preparing::LessonsBetween}
      def calendar(person:, from:, to:) = Preparing::LessonsBetween.new(@archive, person).call(from, to)

      # @param course [String, nil] id of the one that is asked for; nil for all
      # @return [String] lessons as other calendars read them, see {Preparing::Agenda}
      def agenda(person:, address:, name:, now:, course: nil)
        days = ->(count) { now + (count * 86_400_000) }
        between = Preparing::LessonsBetween.new(@archive, person)
        lessons = between.call(days[-Preparing::Agenda::BACK], days[Preparing::Agenda::AHEAD], course: course)[:lessons]
        Preparing::Agenda.new(lessons, address: address, name: name).to_s(now: now)
      end

      # @return [String] the same of one lesson, whenever it is
      def agenda_of_lesson(lesson:, person:, role:, address:, name:, now:)
        found = Preparing::LessonsBetween.new(@archive, person).one(lesson, role)
        Preparing::Agenda.new([found], address: address, name: name).to_s(now: now)
      end

      # @return [Hash] who would be elsewhere, see {Preparing::ClashesNear}
      def clashes(course:, by:, lesson:, from:, minutes:, now:)
        Preparing::ClashesNear.new(@archive, course, by: by, lesson: lesson).call(from, minutes, now: now)
      end

      # Every lesson of a series is made.
      def lay_series(course:, series:) = Preparing::LayingSeries.new(@archive, course, series).call && nil

      # @return [Hash] a series with what it says, see `SeriesFacts` in {Shapes::Answers}
      def series_facts(series:)
        parts = series[:parts].map { |part| { **part, words: Core::Calendar::InWords.new(part).to_s } }
        { **series, parts: parts, slots: Core::Calendar::Series.from(series).slots.map(&:of) }
      end

      # @return [Hash] what a series would come to, see {Preparing::SeriesAhead}
      def series_ahead(course:, by:, series:, part:, now:)
        Preparing::SeriesAhead.new(@archive, course, by: by, series: series).call(part, now: now)
      end

      # @return [Array<Hash>] who may do what in a place, see {Core::Rights::Survey}
      # @raise [Core::Refusal] `no_such_place`
      def survey(sitting:, place:, person:, now:)
        names = Core::Streams::StreamName
        state = @archive.log.state(names.sitting(sitting)).first
        raise Core::Refusal.new(:no_such_place, 'There is no such room in this class.') unless state.place?(place)

        Core::Rights::Survey.of(state, place, @archive.log.state(names.place(sitting, place)).first, at: now, person: person)
      end

      # @return [Hash] `{ people:, gini: }`
      def heard(sitting:, place:, course:) = Preparing::WhoWasHeard.new(@archive, sitting).call(place, course: course)

      # @return [Array<String>] ids of those at the doors who come to the course for the first time
      def newcomers(sitting:)
        waiting = @archive.log.state(Core::Streams::StreamName.staff(sitting)).first.waiting.keys
        @archive.sittings.newcomers(sitting, waiting)
      end

      # @return [Hash{String => Array<Hash>}] findings by lesson
      def findings(lessons:, now:)
        preparation = Preparing::Preparation.new(@archive)
        lessons.to_h { |id| [id, preparation.findings(@archive.lessons.fetch(id), now: now)] }
      end

      # Every board is folded and copied.
      # @return [String] id of a class to practise in
      def rehearse(lesson:) = Preparing::Classes.new(@archive).rehearsal(@archive.lessons.fetch(lesson))

      # @param format [String] see {Core::Exchange::Transcript::FORMATS}
      # @return [String] path of the file
      def transcript(sitting:, format:)
        lesson = @archive.lessons.fetch(@archive.sittings.fetch(sitting)[:lesson_id])
        state = @archive.log.state(Core::Streams::StreamName.sitting(sitting)).first
        written = Store::Written.new(@archive).of(state, lesson[:course_id])
        from = state.stretches.first&.fetch(:from) || state.opened_at || 0
        file(format, Core::Exchange::Transcript.new(written, title: state.title || lesson[:title], from: from).to(format))
      end

      # A draw compares many.
      # @return [Array<Array<String>>] the pairs
      def pair_up(sitting:, **wishes) = Preparing::PairingUp.new(@archive, sitting).call(**wishes)

      # Plays something that may have to be looked up elsewhere first.
      # @param by [Hash] who plays it
      def play_clip(sitting:, material:, place:, rooms:, by:)
        lesson = @archive.lessons.fetch(@archive.sittings.fetch(sitting)[:lesson_id])
        Preparing::PlayingClip.new(@archive, lesson, by: Core::Person.new(**by), videos: Preparing::LinkedVideo.new(@video_sites))
                              .call(@archive.materials.fetch(material), sitting: sitting, place: place, rooms: rooms) && nil
      end

      # @return [Hash] `{ here:, offers:, met:, earlier: }`
      def rooms_offered(sitting:) = Preparing::RoomsOffered.new(@archive, sitting).call

      # A deal searches.
      def deal_rooms(sitting:, **wishes) = Preparing::Grouping.new(@archive, sitting).deal(**wishes) && nil

      # Every room gets a board.
      def open_rooms(**wish) = act(:open_rooms, **wish)

      # @return [String] id of the room
      def add_room(**wish) = act(:add_room, **wish)

      # Every room gets a copy.
      def give_boards(**wish) = act(:give_boards, **wish)

      # @param person [Hash, nil] who asks, unless they teach
      # @return [Array<Hash>] activities of a lesson's classes that are over, see {Preparing::PastActivities}
      def activities(lesson:, person: nil) = Preparing::PastActivities.new(@archive, lesson).call(person)

      # @return [Hash]
      def rooms_pulse(sitting:, activity:, now:) = { rooms: @archive.room_work.pulse(sitting, activity, now) }

      # Every poll of the bank and of lessons is read.
      def find_polls(courses:, words:) = @archive.polls.find(courses, words: words)

      # @return [Hash] see {Preparing::PollResults#live}
      def poll_live(sitting:, poll:) = Preparing::PollResults.new(@archive, sitting).live(poll)
      def poll_results(sitting:, poll:, **rounds) = Preparing::PollResults.new(@archive, sitting).of(poll, **rounds)
      def poll_results_for_students(sitting:, poll:, **rounds) = Preparing::PollResults.new(@archive, sitting).for_students(poll, **rounds)
      def show_poll(sitting:, poll:, by:, **wishes) = Preparing::PollResults.new(@archive, sitting).show(poll, by: by, **wishes) && nil
      def set_progress(sitting:, set:) = Preparing::PollResults.new(@archive, sitting).progress(set)
      def poll_answers(sitting:, poll:, **rounds) = Preparing::PollResults.new(@archive, sitting).named(poll, **rounds)
      def poll_table(sitting:, poll:) = file('csv', Preparing::PollResults.new(@archive, sitting).table(poll))
      def my_answers(sitting:, person:) = Preparing::PollResults.new(@archive, sitting).mine(person)

      def count_votes(sitting:) = Preparing::CountingBallots.new(@archive, sitting).votes && nil
      def my_questions(sitting:, person:) = Preparing::ClassQuestions.new(@archive, sitting).mine(person)
      def lesson_questions(lesson:, person:, teaches:) = Preparing::LessonQuestions.new(@archive, lesson).call(person, teaches: teaches)
      def questions_table(sitting:) = file('csv', Preparing::ClassQuestions.new(@archive, sitting).table)

      # @return [String] id of the new board
      def put_forward(sitting:, copy:, named:) = Preparing::HandingOut.new(@archive, sitting).put_forward(copy, named: named)[:id]

      # Every page is folded and laid out.
      # @return [String] id of the new board
      def side_by_side(sitting:, now:, **chosen) = Preparing::SideBySide.new(@archive, sitting, now: now).call(**chosen)

      # Boards whose digest is older than they are.
      def refresh_boards(courses:) = @archive.boards.refresh(courses)

      # @return [Boolean] whether a password is the one that a hash was made of
      def password_fits(hash:, password:) = Argon2::Password.verify_password(password, hash)

      # @return [String] what is kept of a password
      def password_hash(password:) = Argon2::Password.create(password)

      # @return [String] id of the lesson
      def take_lesson(path:, course:, by:)
        Workshop::LessonFromZip.new(@archive, path, course_id: course, by: by).call
      end

      # @return [String] id of the class
      def take_recording(path:, course:, by:)
        person = @archive.people.find(by)
        role = @archive.people.courses(by)[course]
        Workshop::RecordingFromZip.new(@archive, path, course_id: course,
                                                       by: Core::Person.new(id: by, name: person[:name], role: role)).call
      end

      private

      # What takes several commits: should this process die over it, it is done by another.
      def act(task, **wish) = Preparing::Errands.new(@archive).now(task, act: Store::Ids.call, **wish)

      def files = Workshop::BoardFiles.new(@archive)
      def stream(board) = Core::Streams::StreamName.board(board)
      def state(board) = @archive.log.state(stream(board)).first
      def name(board) = @archive.lessons.board(board)[:name]

      def with_page(board, page)
        state(board).tap do |found|
          raise Core::Refusal.new(:no_such_board, 'That page is not on this board.') unless found.pages.include?(page)
        end
      end

      def file(ending, bytes) = @archive.files.scratch_file(ending, bytes)
    end
  end
end
