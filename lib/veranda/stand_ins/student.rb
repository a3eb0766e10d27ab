# frozen_string_literal: true

module Veranda
  module StandIns
    # A simulated student: waits for the doors, then draws, writes, raises a hand and sometimes
    # loses the connection, at a pace a person might have.
    class Student
      WORDS = ['Which of us turns first?', 'I think Red gives way.', 'Can you show that again?', 'Got it, thank you.',
               'Starboard, because of the bearing.', 'Does that hold in fog too?', 'Same here.', 'I had 2.7 m.'].freeze
      LABELS = ['give way', 'stand on', 'Pell Light', '5 kn', 'steady bearing', 'turn here?'].freeze

      # @param line [#say] its connection
      # @param look [#call] gives the class as it is now, a {Core::Sittings::Sitting}
      # @param rng [Random]
      # @param pace [Numeric] mean seconds between two acts
      def initialize(line, look:, rng:, pace: 6)
        @line = line
        @look = look
        @rng = rng
        @pace = pace
        @count = 0
      end

      # Acts until the class has ended or the time is up.
      # @param seconds [Numeric]
      def act(seconds)
        acts = (seconds / @pace).ceil
        acts.times do
          sleep(@pace * (0.4 + 1.2 * @rng.rand))
          sitting = @look.call
          return if sitting.nil? || sitting.ended?

          sitting.open? ? act_once(sitting) : @line.say(t: 'ping')
        end
        @line.say(t: 'bye')
      end

      # One thing a student does.
      # @param sitting [Core::Sittings::Sitting]
      def act_once(sitting)
        case @rng.rand(10)
        when 0..3 then sitting.shown ? draw(sitting) : post(sitting)
        when 4 then sitting.shown ? label(sitting) : post(sitting)
        when 5..7 then post(sitting)
        when 8 then hand(sitting, 'class.raise_hand')
        else hand(sitting, 'class.lower_hand')
        end
      end

      private

      def command(wire_name, stream, **input)
        @line.say(t: 'do', id: "s#{@rng.bytes(8).unpack1('H*')}", do: wire_name, stream: stream, with: input)
      end

      def draw(sitting)
        put(sitting, kind: 'stroke', points: curve, width: 4, took: 300 + @rng.rand(900))
      end

      def label(sitting)
        put(sitting, kind: 'text', text: LABELS.sample(random: @rng), w: 260, size: 28)
      end

      def put(sitting, **mark)
        place = { id: "m#{@rng.bytes(8).unpack1('H*')}", page: sitting.shown[:page], ink: ink,
                  x: 120 + @rng.rand(1200), y: 160 + @rng.rand(680) }
        command('board.put', Core::Streams::StreamName.board(sitting.shown[:board]), marks: [place.merge(mark)])
      end

      # Each stand-in keeps to one ink.
      def ink = @ink ||= Core::Boards::Inks::NAMES.sample(random: @rng)

      # A wavering arc, as a hand makes it.
      def curve
        turn = @rng.rand * Math::PI
        reach = 40 + @rng.rand(120)
        (0..24).flat_map do |i|
          angle = turn + i * 0.13
          [Math.cos(angle) * reach + @rng.rand * 3, Math.sin(angle) * reach + @rng.rand * 3].map { |number| number.round(1) }
        end
      end

      def post(sitting)
        id = "p#{@rng.bytes(8).unpack1('H*')}"
        command('exchange.post', Core::Streams::StreamName.exchange(sitting.id), id: id, text: WORDS.sample(random: @rng))
      end

      def hand(sitting, wire_name) = command(wire_name, Core::Streams::StreamName.sitting(sitting.id))
    end
  end
end
