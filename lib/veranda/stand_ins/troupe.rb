# frozen_string_literal: true

module Veranda
  module StandIns
    # The stand-ins of one rehearsal, living in the server process beside real people.
    class Troupe
      NAMES = %w[Alder Briony Calder Damson Elowen Fennel Garrick Heather Isolde Juniper Kestrel Linden Marlow Nettle Orrin
                 Primrose Quill Rowan Sorrel Tansy Ulric Verity Willow Xanthe Yarrow Zephyr Aspen Bracken Clover Drift].freeze
      # A rehearsal ends by itself after this many s.
      LASTS = 90 * 60

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

      def enter(person_id, index)
        line = Line.new
        rng = Random.new(index)
        @hub.background { |task| Live::Peer.new(line, person_id, @hub).run(task) }
        @hub.background do
          sleep(index * 0.15)
          line.say(t: 'hello', v: Live::Protocol::VERSION, sitting: @sitting_id)
          Student.new(line, look: -> { view }, rng: rng, pace: 8).act(LASTS)
          line.close
        end
      end

      # @return [Student::View]
      def view
        seen = Async::Variable.new
        stream = Core::Streams::StreamName.place(@sitting_id, Core::Sittings::Places::MAIN)
        @hub.gathering(@lesson).look(@sitting_id, stream) { |sitting, _, place| seen.resolve(Student::View.new(sitting, place.shown)) }
        seen.wait
      end
    end
  end
end
