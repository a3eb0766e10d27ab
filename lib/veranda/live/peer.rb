# frozen_string_literal: true

module Veranda
  module Live
    # One connection of one person: reads what they send, hands it on, and answers.
    # It knows its person, its gathering and its outbox, and no rule of the job.
    class Peer
      COMMANDS_PER_SECOND = 40
      TRANSIENTS_PER_SECOND = 60

      # @return [Core::Person] the person with their role here
      attr_reader :person
      # @return [String, nil] id of the class they are in; nil while preparing a lesson
      attr_reader :sitting_id
      # @return [Outbox]
      attr_reader :outbox
      # @return [Float] when they were last heard, monotonic s
      attr_reader :heard_at
      # @return [Hash, nil] the answers about rights that they were last sent
      attr_accessor :rights

      # @param line [#hear, #write_bytes, #close]
      # @param person_id [String]
      # @param hub [Hub]
      def initialize(line, person_id, hub)
        @line = line
        @person_id = person_id
        @hub = hub
        @outbox = Outbox.new { @gathering&.resynchronise(self) }
        @commands = Rate.new(COMMANDS_PER_SECOND, burst: 120)
        @transients = Rate.new(TRANSIENTS_PER_SECOND, burst: 120)
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
        @gathering&.part(self, on_purpose: @parted)
        @outbox.close
        writer&.stop
      end

      def send_message(**facts) = @outbox.push(Frames.message(**facts))

      def close = @line.close

      private

      def write
        @outbox.drain(@line)
      rescue IOError, SystemCallError
        # The reader notices the same and ends the connection.
      end

      def hear
        @line.hear
      rescue WebSocketLine::TooLarge
        fault(Core::Refusal.new(:too_large, 'That was more than 64 kB in one go. Draw or send it in smaller parts.'))
        :too_large
      rescue IOError, SystemCallError, ::Protocol::WebSocket::Error
        nil
      ensure
        heard
      end

      def heard = @heard_at = Process.clock_gettime(Process::CLOCK_MONOTONIC)

      def receive(text)
        message = Protocol.read(text)
        case message[:t]
        when 'hello' then greet(message)
        when 'do' then order(message)
        when 'now' then transient(message)
        when 'ping' then send_message(t: 'pong')
        when 'bye' then @parted = true
        end
      rescue Core::Refusal => e
        fault(e)
      end

      def fault(refusal) = send_message(t: 'error', code: refusal.code, says: refusal.says)

      def greet(message)
        unless message[:v] == Protocol::VERSION
          raise Core::Refusal.new(:old_version, 'This page is from an older Veranda. Reload it; nothing is lost.')
        end
        raise Core::Refusal.new(:already_here, 'This connection has said hello already.') if @gathering

        gathering, @person, @sitting_id = @hub.admit(@person_id, lesson: message[:lesson], sitting: message[:sitting])
        @gathering = gathering
        gathering.welcome(self, message[:seen] || {})
      end

      def order(message)
        return refuse(message, Core::Refusal.new(:say_hello, 'Say hello first.')) unless @gathering
        unless @commands.take
          return refuse(message,
                        Core::Refusal.new(:too_fast, 'That was too much at once. It is sent again shortly.'))
        end

        Core::Commands.public!(message[:do])
        order = Store::Order.of(message[:do], message[:with], stream: message[:stream], by: @person, id: message[:id],
                                                              sitting: @sitting_id && Core::Streams::StreamName.sitting(@sitting_id),
                                                              again: message[:again])
        @gathering.submit(order, self) { |outcome| answer(outcome) }
      rescue Core::Refusal => e
        refuse(message, e)
      end

      def answer(outcome)
        return refuse({ id: outcome.order.id }, outcome.refusal) if outcome.refusal

        send_message(t: 'done', id: outcome.order.id, seq: outcome.seq)
      end

      def refuse(message, refusal)
        send_message(t: 'refused', id: message[:id], code: refusal.code, says: refusal.says)
      end

      # Lost without a word when it comes too fast or may not be: it is only a glimpse.
      def transient(message)
        return unless @gathering && @transients.take

        @gathering.transient(self, message[:stream], message[:kind], message[:body])
      end
    end
  end
end
