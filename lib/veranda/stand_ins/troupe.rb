# frozen_string_literal: true

module Veranda
  module StandIns
    # The stand-ins of one rehearsal, living in the server process beside real people.
    class Troupe
      NAMES = %w[Alder Briony Calder Damson Elowen Fennel Garrick Heather Isolde Juniper Kestrel Linden Marlow Nettle Orrin
                 Primrose Quill Rowan Sorrel Tansy Ulric Verity Willow Xanthe Yarrow Zephyr Aspen Bracken Clover Drift].freeze
      # A rehearsal ends by itself after this many s.
      LASTS = 90 * 60
      # One in so many has an unsteady connection, and is away for so many s.
      UNSTEADY = 6
      AWAY = 12

      # @param hub [Live::Hub]
      # @param lesson [Hash]
      # @param sitting_id [String]
      def initialize(hub, lesson, sitting_id)
        @hub = hub
        @lesson = lesson
        @sitting_id = sitting_id
      end

      # @param count [Integer] 1–30
      def start(count)
        @hub.start
        NAMES.first(count).each_with_index { |name, index| enter(person(name), index) }
      end

      private

      # Stand-ins are the same people in every rehearsal.
      def person(name)
        people = @hub.archive.people
        id = "stand-in-#{name.downcase}"
        people.add("#{name} (stand-in)", id: id, stand_in: true) unless people.find(id)
        id
      end

      # Some lose their connection now and then, and come back before their seat is given up.
      def enter(person_id, index)
        rng = Random.new(index)
        student = Student.new(nil, look: -> { view(person_id) }, rng: rng, pace: 8, stage: @hub.stage.there?)
        @hub.background do
          sleep(index * 0.15)
          left = LASTS
          while left.positive?
            spell = (index % UNSTEADY).zero? ? 60 + rng.rand(180) : left
            break unless connected(person_id) { |line| (student.line = line) && student.act(spell, leaves: spell >= left) }

            left -= spell
            sleep(AWAY)
          end
        end
      end

      def connected(person_id)
        line = Line.new
        @hub.background { |task| Live::Peer.new(line, person_id, @hub).run(task) }
        line.say(t: 'hello', v: Live::Protocol::VERSION, sitting: @sitting_id)
        yield line
      ensure
        line.hang_up
      end

      # @return [Student::View] with their own copy where the board on show is handed out
      def view(person_id)
        seen = Async::Variable.new
        own = Core::Streams::StreamName.own(@sitting_id, person_id)
        @hub.gathering(@lesson).look(@sitting_id) do |sitting, staff, performer|
          place = sitting.seats[person_id]&.place || Core::Sittings::Places::MAIN
          shown = performer.copy(Core::Streams::StreamName.place(@sitting_id, place)).state.shown
          copy = staff.copy_of(shown[:board], person_id) if shown && sitting.handed.include?(shown[:board])
          asked = sitting.seats.key?(person_id) ? performer.copy(own).state.asked : nil
          shown = shown.merge(board: copy) if copy
          seen.resolve(Student::View.new(sitting, shown, place, silent?(staff, place), asked&.fetch(:room), polls(staff, place, performer),
                                         questions(performer)))
        end
        seen.wait
      end

      def questions(performer) = performer.copy(Core::Streams::StreamName.questions(@sitting_id)).state.waiting.map { |one| one[:id] }

      # @return [Array<Hash>] polls that take answers now, with what is right, so that they can be as wrong as is wished
      def polls(staff, place, performer)
        staff.polls.for_place(place).filter_map do |row|
          round = performer.copy(Core::Streams::StreamName.poll(@sitting_id, row[:id])).state.taking(@hub.clock.call)
          { id: row[:id], round: round, question: row[:question] } if round
        end
      end

      # In the last room of an activity nobody does anything, so that one learns to notice.
      def silent?(staff, place) = staff.activities.open_rooms.length > 2 && staff.activities.open_rooms.last[:id] == place
    end
  end
end
