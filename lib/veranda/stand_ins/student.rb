# frozen_string_literal: true

module Veranda
  module StandIns
    # A simulated student: waits for the doors, then answers polls, draws, writes to all and to single people, raises a hand and signals,
    # at a pace a person might have.
    class Student
      WORDS = ['Which of us turns first?', 'I think Red gives way.', 'Can you show that again?', 'Got it, thank you.',
               'Starboard, because of the bearing.', 'Does that hold in fog too?', 'Same here.', 'I had 2.7 m.'].freeze
      ASIDES = ['Did you get 2.7 m as well?', 'I do not see the light.', 'Shall I draw it?', 'You first.'].freeze
      QUESTIONS = ['Does the rule hold at anchor?', 'Is a pilot boat different?', 'What if she cannot turn?',
                   'How far off is far enough?'].freeze
      LABELS = ['give way', 'stand on', 'Pell Light', '5 kn', 'steady bearing', 'turn here?'].freeze

      # Most are done sooner or later.
      SIGNALS = %w[done done done yes no slower faster clap].freeze

      # The class as a student sees it: a {Core::Sittings::Sitting} (nil while waiting), and what is on
      # show for them where they are, the place; whether nothing is done there, as in one room of each activity; and the room that they
      # are asked to go to; and the polls that are open to them, see {Voter}, and ids of questions
      # without an answer.
      View = Struct.new(:sitting, :shown, :place, :silent, :asked, :polls, :questions)

      # @param line [#say] its connection
      # @param look [#call] gives the class as it is now, a {View}; nil when there is none
      # @param rng [Random]
      # @param pace [Numeric] mean seconds between two acts
      # @param stage [Boolean] whether it has a voice and a picture
      def initialize(line, look:, rng:, pace: 6, stage: false)
        @line = line
        @look = look
        @rng = rng
        @pace = pace
        @threads = {}
        @stage = stage
        @shows = stage && rng.rand(2).zero?
        @voter = Voter.new(rng)
      end

      # A connection it goes on with.
      def line=(line)
        @line = line
        @on_stage = false
      end

      # Acts until the class has ended or the time is up.
      # @param seconds [Numeric]
      # @param leaves [Boolean] whether it says goodbye then
      # @return [Boolean] whether there is more to do
      def act(seconds, leaves: true)
        acts = (seconds / @pace).ceil
        acts.times do
          sleep(@pace * (0.4 + 1.2 * @rng.rand))
          view = @look.call
          return false if view.nil? || view.sitting&.ended?

          view.sitting&.open? ? act_once(view) : @line.say(t: 'ping')
        end
        @line.say(t: 'bye') if leaves
        !leaves
      end

      # One thing a student does.
      # @param view [View] of an open class
      def act_once(view)
        go_on_stage
        return in_rooms(view) if view.asked || view.silent || (in_room?(view) && @rng.rand(25).zero?)

        answer(view) || act_freely(view)
      end

      private

      def act_freely(view)
        case @rng.rand(16)
        when 0..4 then view.shown ? mark(view) : post(view)
        when 5..7 then post(view)
        when 8..9 then hand(view, %w[class.raise_hand class.lower_hand].sample(random: @rng))
        when 10 then aside(view)
        when 11 then question(view)
        when 12 then speak
        else hand(view, 'class.signal', signal: SIGNALS.sample(random: @rng))
        end
      end

      # Some show themselves all the time.
      def go_on_stage
        return if @on_stage || !@stage

        @on_stage = true
        @line.say(t: 'stage', act: 'come')
        switch('camera', true) if @shows
      end

      # A sentence or two.
      def speak
        return unless @stage

        switch('microphone', true)
        sleep(2 + 5 * @rng.rand)
        switch('microphone', false)
      end

      def switch(device, on) = @line.say(t: 'stage', act: 'switch', switch: device, on: on)

      # A poll comes before anything else, for most and most of the time.
      def answer(view)
        poll = (view.polls || []).find { |one| @voter.to_answer?(one) } or return false
        return false if @rng.rand(4).zero?

        command('poll.answer', Core::Streams::StreamName.poll(view.sitting.id, poll[:id]), round: poll[:round], value: @voter.answer(poll))
        true
      end

      # Mostly that one asks something too; now and then something of one's own.
      def question(view)
        stream = Core::Streams::StreamName.questions(view.sitting.id)
        others = (view.questions || []) - [@asked_id]
        return command('question.vote', stream, id: others.sample(random: @rng), on: true) if others.any? && @rng.rand(3).positive?
        return post(view) if @asked_id

        @asked_id = "q#{@rng.bytes(8).unpack1('H*')}"
        command('question.ask', stream, id: @asked_id, text: QUESTIONS.sample(random: @rng), nameless: false)
      end

      def in_room?(view) = view.place != Core::Sittings::Places::MAIN
      def here(view) = Core::Streams::StreamName.place(view.sitting.id, view.place)

      # Goes to the room that it is asked to, is quiet where all are, and calls now and then.
      def in_rooms(view)
        return @line.say(t: 'ping') if view.silent
        return command('room.call', here(view), on: true) unless view.asked

        command('rooms.go', Core::Streams::StreamName.sitting(view.sitting.id), to: view.asked, from: view.place)
      end

      def command(wire_name, stream, **input)
        @line.say(t: 'do', id: "s#{@rng.bytes(8).unpack1('H*')}", do: wire_name, stream: stream, with: input)
      end

      def mark(view) = @rng.rand(5).zero? ? label(view) : draw(view)

      def draw(view)
        put(view, kind: 'stroke', points: curve, width: 4, took: 300 + @rng.rand(900))
      end

      def label(view)
        put(view, kind: 'text', text: LABELS.sample(random: @rng), w: 260, size: 28)
      end

      def put(view, **mark)
        place = { id: "m#{@rng.bytes(8).unpack1('H*')}", page: view.shown[:page], ink: ink,
                  x: 120 + @rng.rand(1200), y: 160 + @rng.rand(680) }
        command('board.put', Core::Streams::StreamName.board(view.shown[:board]), marks: [place.merge(mark)])
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

      def post(view)
        id = "p#{@rng.bytes(8).unpack1('H*')}"
        command('exchange.post', Core::Streams::StreamName.exchange(view.sitting.id, view.place), id: id, text: WORDS.sample(random: @rng))
      end

      # To somebody else here alone, or to staff; a thread that was begun goes on.
      def aside(view)
        seat = view.sitting.present.reject(&:staff?).sample(random: @rng)
        key = seat&.id || :staff
        post = { id: "p#{@rng.bytes(8).unpack1('H*')}", text: ASIDES.sample(random: @rng) }
        return command('thread.post', Core::Streams::StreamName.thread(view.sitting.id, @threads[key]), **post) if @threads[key]

        @threads[key] = "t#{@rng.bytes(8).unpack1('H*')}"
        begun = { id: @threads[key], people: [seat&.id].compact, staff: @rng.rand(4).zero?, post: post }
        command('exchange.begin_thread', Core::Streams::StreamName.exchange(view.sitting.id, view.place), **begun)
      end

      def hand(view, wire_name, **input)
        command(wire_name, here(view), **input)
      end
    end
  end
end
