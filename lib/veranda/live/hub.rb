# frozen_string_literal: true

require 'async'

module Veranda
  module Live
    # The live side of one server process: its gatherings, the bus to other processes, presence
    # and the regular rounds. Everything runs as fibers of the reactor that {#start} is called in.
    class Hub
      include Terse

      NOW = -> { Process.clock_gettime(Process::CLOCK_REALTIME, :millisecond) }
      # Seconds between rounds.
      TIMING_EVERY = 5
      ROOMS_EVERY = 1
      SWEEP_EVERY = 10
      POLLS_EVERY = 60
      # Seconds of silence after which a connection is taken to be dead. Clients ping every 15 s.
      # Browsers let a tab that nobody looks at speak once a minute.
      SILENCE = 150
      # Streams that say who was turned out; and of how many classes it is remembered whose they are.
      OF_CLASSES = %i[sitting staff].freeze
      MOST_CLASSES = 1_000
      private_constant :OF_CLASSES, :MOST_CLASSES

      # @return [Rates]
      attr_reader :rates
      # @return [Pace]
      attr_reader :pace
      attr_reader :archive, :clock, :presence, :process
      # @return [Stage::Studio]
      attr_reader :stage

      # @param archive [Store::Archive]
      # @param clock [#call] ms since the epoch
      # @param aside [#call, nil] has something done by the process beside, see {Aside::Pool#call}
      # @param stage [Stage::Studio] sound and picture
      def initialize(archive, aside: nil, stage: Stage::Studio.new(nil), clock: NOW)
        @archive = archive
        @aside = aside
        @stage = stage
        @clock = clock
        @process = Store::Ids.call
        @bus = Bus.new(archive.db, @process)
        @processes = Store::Processes.new(archive.db, @process)
        @presence = Presence.new(Store::Presences.new(archive.db, @process), clock: clock)
        @gatherings = {}
        @courses = {}
        @parts = PartsPlayed.new(self)
        @lessons_of = Core::Recent.new(MOST_CLASSES)
        @rates = Rates.new
        @pace = Pace.new
      end

      # Begins listening and the rounds, once per process; further calls do nothing.
      # @param task [Async::Task] must outlive all peers
      def start(task = Async::Task.current)
        return if @root

        # Falcon serves each connection in a task of its own; ours must not end with one of them.
        @root = task.reactor
        @stage.start(self)
        background { listen }
        background { every(TIMING_EVERY) { gatherings.each(&:keep_time) } }
        background { every(ROOMS_EVERY) { gatherings.each(&:keep_rooms) } }
        background { every(SWEEP_EVERY) { sweep } }
        background { every(POLLS_EVERY) { finish_polls } }
        background { |watching| @pace.watch(watching) }
        background { every(Pace::EVERY) { tell_pace } }
      end

      # Finds where a person belongs who says hello.
      # @return [Array(Company, Core::Person, String)] and the id of the class, nil for a lesson or a course
      # @raise [Core::Refusal] `not_invited`, `no_such_class`, `no_such_lesson`
      def admit(person_id, lesson: nil, sitting: nil, course: nil)
        start
        return admit_to_course(person_id, course) if course

        row = sitting && @archive.sittings.fetch(sitting)
        lesson = @archive.lessons.fetch(row ? row[:lesson_id] : lesson.to_s)
        person = @archive.people.in_lesson(person_id, lesson)
        if person.nil? || (person.stand_in? && !row&.fetch(:rehearsal))
          raise Core::Refusal.new(:not_invited, 'You are not invited to this class. Ask for its link.')
        end

        [gathering(lesson), person, sitting]
      end

      # @param lesson [Hash]
      # @return [Gathering]
      def gathering(lesson)
        @gatherings[lesson[:id]] ||= Gathering.new(lesson, self).tap do |gathering|
          background { |task| gathering.run(task) }
        end
      end

      # @param id [String]
      # @return [CourseCompany]
      def course(id)
        @courses[id] ||= CourseCompany.new(id, self).tap { |company| background { |task| company.run(task) } }
      end

      # The boards of a lesson are others than before, or open to others; or who has a part in it.
      def review(lesson_id)
        reviewed(lesson_id)
        @bus.review(lesson_id) if @processes.others?
      end

      # @return [Boolean] whether no other server process is there, nor can have come unheard
      def alone? = @processes.alone?

      # Hands a transient message to the other processes, if there are any. One that cannot be handed on is lost, and nothing else.
      def pass_on(stream, json)
        @bus.transient(stream, json) if @processes.others?
      rescue StandardError => e
        Complaint.of(self, 'A glimpse was not passed on', e)
      end

      # Ends every connection that came with a session that has ended.
      # @param session_id [String]
      def sign_off(session_id)
        close_where { |peer| peer.session_id == session_id }
        @bus.sign_off(session_id) if @processes.others?
      end

      # Ends the connections of people who play no part in a lesson any more, or another one.
      # @param lesson_id [String]
      def recheck(lesson_id) = @gatherings[lesson_id]&.then { |gathering| @parts.recheck(gathering) }

      # Has something done by the process beside that follows what happened in a class, which is then one among those who take
      # turns. What fails is tried again by whatever comes next.
      # @param name [Symbol] see {Aside::Tasks}
      # @yieldparam done [Boolean] whether it was done, once it is over
      # @yieldparam result [Object]
      def aside(name, **arguments)
        background do
          done = false
          result = @aside&.call("house of #{arguments[:sitting]}", name, arguments)
          done = true
        rescue Core::Refusal => e
          Complaint.of(self, "#{name} was not done", e)
        ensure
          yield done, result if block_given?
        end
      end

      # Runs a block in a task of the hub's own.
      def background(&) = @root.async(transient: true, &)

      private

      # Those there are now: while one is waited for, others come and go.
      def gatherings = @gatherings.values
      def companies = gatherings + @courses.values

      def admit_to_course(person_id, id)
        person = @archive.people.in_course(person_id, id)
        raise Core::Refusal.new(:not_invited, 'You do not belong to this course. Ask whoever teaches it.') unless person

        [course(id), person, nil]
      end

      def listen
        @bus.listen(
          on_entry: method(:heard),
          on_transient: ->(stream, json) { gatherings.each { |gathering| gathering.send_transient(stream, json) } },
          on_arrival: @processes.method(:arrival), on_review: method(:reviewed),
          on_sign_off: ->(session_id) { close_where { |peer| peer.session_id == session_id } },
          on_start: method(:begun)
        )
      rescue StandardError => e
        Console.warn(self, 'Listening broke off and begins again', e)
        sleep 1
        retry
      end

      # From now on others tell this process what it has to know; what was said before is looked for.
      def begun
        @processes.beat
        @bus.arrive
        companies.each { |company| company.streams.each { |stream| company.heard(stream, nil) } }
        @parts.recheck_soon(gatherings)
      end

      def heard(stream, seq)
        companies.each { |company| company.heard(stream, seq) }
        case Core::Streams::StreamName.kind(stream)
        when *OF_CLASSES then follow_class(stream)
        when :people then @parts.recheck_soon(gatherings.select { |one| one.lesson[:course_id] == Core::Streams::StreamName.id(stream) })
        end
      end

      # Whoever looks into a lesson here may be in no class of it here, and is turned out with it all the same. Before anything else that is
      # heard: who was turned out sees nothing of what comes after.
      def follow_class(stream)
        return if @gatherings.empty?

        id = Core::Streams::StreamName.id(stream)
        lesson = @lessons_of.fetch(id) { @archive.sittings.fetch(id)[:lesson_id] }
        @gatherings[lesson]&.follow_class(id)
      rescue Core::Refusal
        # It was let go of meanwhile.
      end

      def tell_pace
        figures = @pace.take
        Console.info(self, 'Pace', figures) if figures
      end

      def reviewed(lesson_id)
        gathering = @gatherings[lesson_id] or return
        recheck(lesson_id)
        gathering.review
      end

      # What a class has left behind that nobody was there to see the end of.
      def finish_polls = @archive.log.ballots.overdue.each { |id| aside(:finish_polls, sitting: id) }

      def close_where(&)
        companies.each { |company| company.peers.select(&).each(&:close) }
      end

      def every(seconds)
        loop do
          sleep seconds
          yield
        rescue StandardError => e
          Console.warn(self, 'A round was missed', e)
        end
      end

      def sweep
        @processes.beat
        @presence.beat
        now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        gatherings.each { |gathering| @presence.sweep(gathering) }
        companies.each { |company| company.peers.each { |peer| peer.close if now - peer.heard_at > SILENCE } }
        [@gatherings, @courses].each do |open|
          open.select { |_, company| company.deserted? }.each_key { |id| open.delete(id).stop }
        end
      end
    end
  end
end
