# frozen_string_literal: true

module Veranda
  module Live
    # One connection of one person: reads what they send, hands it on, and answers.
    # It knows its person, its gathering and its outbox, and no rule of the job.
    class Peer
      include Terse

      # @return [Core::Person] the person with their role here
      attr_reader :person
      # @return [String, nil] id of the class they are in; nil while preparing a lesson
      attr_reader :sitting_id
      # @return [Outbox]
      attr_reader :outbox
      # @return [String, nil] id of the session they came with
      attr_reader :session_id
      # @return [Float] when they were last heard, monotonic s
      attr_reader :heard_at
      # @return [Hash{String => Hash{Symbol => Core::Rights::Answer}}] the answers about rights that they were last sent, by stream
      attr_accessor :rights
      # @return [Array<String>] streams that they look at besides those they are told of by themselves
      attr_accessor :following
      # @return [Stage::Standing, nil] where they are in their class, as far as sound and picture go
      attr_accessor :standing
      # @return [Boolean] whether they were told what they may read; until then nothing of it changes for them
      attr_accessor :welcomed

      # @param line [#hear, #write_bytes, #hang_up]
      # @param person_id [String]
      # @param hub [Hub]
      # @param session_id [String, nil]
      def initialize(line, person_id, hub, session_id: nil)
        @line = line
        @person_id = person_id
        @hub = hub
        @session_id = session_id
        @outbox = Outbox.new { @gathering&.resynchronise(self) }
        @rights = {}
        @following = []
        heard
      end

      # Serves the connection until it ends.
      # @param task [Async::Task]
      def run(task)
        writer = task.async { write }
        until @parted
          text = hear or break
          receive(text) unless text == :too_large
        end
      ensure
        leave
        @outbox.close
        writer&.stop
      end

      # @param since [Array<String>] frames that come with it, since without them it is old
      def send_message(since = [], **facts)
        message = Frames.message(**facts)
        @outbox.push(since.empty? ? message : [message, *since].join)
      end

      # @param refusal [Core::Refusal]
      # @param id [String, nil] of the message it answers
      def fault(refusal, id: nil)
        send_message(**{ t: 'error', id: id, code: refusal.code, says: refusal.says }.compact)
      end

      # @return [Boolean] whether they look into a class without taking a seat, as staff may
      def unseen? = @unseen && @person.staff?

      def close = @line.hang_up

      # Says why, and ends the connection once that is told.
      # @param refusal [Core::Refusal]
      def dismiss(refusal)
        fault(refusal)
        @outbox.finish
      end

      private

      def write
        @outbox.drain(@line)
        @line.hang_up if @outbox.finishing?
      rescue IOError, SystemCallError
        # The reader notices the same and ends the connection.
      end

      def hear
        @line.hear
      rescue WebSocketLine::TooLarge => e
        fault(Core::Refusal.new(:too_large, 'That was more than 64 kB in one go. Draw or send it in smaller parts.'),
              id: Protocol.id_of(e.text))
        :too_large
      rescue IOError, SystemCallError, ::Protocol::WebSocket::Error
        nil
      ensure
        heard
      end

      def heard = @heard_at = Process.clock_gettime(Process::CLOCK_MONOTONIC)

      def leave
        @gathering&.part(self, on_purpose: @parted)
      rescue StandardError => e
        Complaint.of(self, 'Someone could not be seen off', e)
      end

      def receive(text)
        message = Protocol.read(text)
        case message[:t]
        when 'hello' then greet(message)
        when 'do' then order(message)
        when 'now' then glimpse(message)
        when 'follow' then follow(message)
        when 'stage' then stage(message)
        when 'ping' then send_message(t: 'pong')
        when 'bye' then @parted = true
        end
      rescue Core::Refusal => e
        fault(e, id: Protocol.id_of(text))
      rescue StandardError => e
        Complaint.of(self, 'A message could not be taken', e)
        fault(Core::Refusal.new(:fault, 'Something went wrong here. Nothing was changed; try again in a moment.'), id: Protocol.id_of(text))
      end

      def greet(message)
        unless message[:v] == Protocol::VERSION
          raise Core::Refusal.new(:old_version, 'This page is from an older Veranda. Reload it; nothing is lost.')
        end
        raise Core::Refusal.new(:already_here, 'This connection has said hello already.') if @gathering

        gathering, @person, @sitting_id = admitted(message)
        @unseen = message[:unseen] || false
        @gathering = gathering
        gathering.welcome(self, message[:seen] || {})
      rescue *Store::Database::AWAY => e
        # Browsers come again by themselves; an answer they would take for a no.
        Complaint.of(self, 'Someone could not be admitted', e)
        close
      end

      def admitted(message, tries: Lane::TRIES)
        @hub.admit(@person_id, **message.slice(:lesson, :sitting, :course))
      rescue *Store::Database::AWAY
        raise if tries == 1

        sleep Lane::PAUSE
        admitted(message, tries: tries - 1)
      end

      def order(message)
        raise Core::Refusal.new(:say_hello, 'Say hello first.') unless @gathering
        unless @hub.rates.of(@person_id).commands.take
          raise Core::Refusal.new(:too_fast, 'That was too much at once. It is sent again shortly.')
        end

        since = Pace.now
        Core::Commands.public!(message[:do])
        order = Deciding::Order.of(message[:do], message[:with], stream: message[:stream], by: @person, id: message[:id],
                                                                 sitting: @sitting_id, again: message[:again])
        @gathering.submit(order, self) { |outcome| answer(outcome, since) }
      rescue Core::Refusal => e
        refuse(message[:id], e)
      end

      def follow(message)
        raise Core::Refusal.new(:say_hello, 'Say hello first.') unless @gathering
        unless @hub.rates.of(@person_id).commands.take
          raise Core::Refusal.new(:too_fast,
                                  'That was too much at once. Try again in a moment.')
        end

        @gathering.follow(self, message[:streams].uniq)
      end

      def stage(message)
        raise Core::Refusal.new(:say_hello, 'Say hello first.') unless @gathering && @welcomed
        unless @hub.rates.of(@person_id).commands.take
          raise Core::Refusal.new(:too_fast, 'That was too much at once. Try again in a moment.')
        end

        @hub.stage.hear(self, @gathering, message)
      end

      def answer(outcome, since)
        @hub.pace.answered(since)
        return refuse(outcome.order.id, outcome.refusal) if outcome.refusal

        send_message(t: 'done', id: outcome.order.id, seq: outcome.seq)
      end

      def refuse(id, refusal)
        send_message(t: 'refused', id: id, code: refusal.code, says: refusal.says)
      end

      # Lost without a word when it comes too fast or may not be: it is only a glimpse.
      def glimpse(message)
        return unless @gathering && @hub.rates.of(@person_id).glimpses.take

        @gathering.glimpse(self, message[:stream], message[:kind], Glimpse.check(message[:kind], message[:body]))
      end
    end
  end
end
