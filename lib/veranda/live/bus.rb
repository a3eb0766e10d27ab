# frozen_string_literal: true

module Veranda
  module Live
    # What server processes tell each other through PostgreSQL's LISTEN / NOTIFY: that a stream
    # has grown, that the boards of a lesson are others, and transient messages. Truth is always in the table; a missed word costs
    # nothing but time, because {Hub} also looks whenever it writes.
    class Bus
      TRANSIENT_CHANNEL = 'veranda_transient'
      REVIEW_CHANNEL = 'veranda_review'
      SIGN_OFF_CHANNEL = 'veranda_sign_off'
      ARRIVAL_CHANNEL = 'veranda_arrival'
      # PostgreSQL takes no more than 8,000 bytes.
      PAYLOAD_LIMIT = 7_900

      # @param db [Sequel::Database]
      # @param process [String] id of this process, to tell own words from others'
      def initialize(db, process)
        @db = db
        @process = process
      end

      # Listens for ever; run it in a task of its own.
      # @param on_entry [#call] given stream and seq
      # @param on_transient [#call] given stream and frame text
      # @param on_review [#call] given the id of a lesson
      # @param on_sign_off [#call] given the id of a session
      # @param on_arrival [#call] given the id of another server process that has begun
      # @param on_start [#call] called each time listening has begun, since words may have been missed
      def listen(on_entry:, on_transient:, on_review:, on_sign_off:, on_arrival:, on_start:)
        heard = { Store::Log::CHANNEL => ->(payload) { hear_entry(payload, on_entry) },
                  TRANSIENT_CHANNEL => ->(payload) { hear_transient(payload, on_transient) }, REVIEW_CHANNEL => on_review,
                  SIGN_OFF_CHANNEL => on_sign_off, ARRIVAL_CHANNEL => ->(process) { on_arrival.call unless process == @process } }
        @db.listen(heard.keys, loop: true, after_listen: lambda { |_|
          on_start.call
        }) { |channel, _pid, payload| heard[channel].call(payload) }
      end

      # Tells the others that this process is there.
      def arrive = @db.notify(ARRIVAL_CHANNEL, payload: @process)

      # @param lesson_id [String]
      def review(lesson_id) = @db.notify(REVIEW_CHANNEL, payload: lesson_id)

      # @param session_id [String]
      def sign_off(session_id) = @db.notify(SIGN_OFF_CHANNEL, payload: session_id)

      # @param stream [String]
      # @param text [String] JSON, at most about {PAYLOAD_LIMIT} bytes
      def transient(stream, text)
        payload = "#{@process}\n#{stream}\n#{text}"
        raise ArgumentError, "#{payload.bytesize} bytes are too many for the bus" if payload.bytesize > PAYLOAD_LIMIT

        @db.notify(TRANSIENT_CHANNEL, payload: payload)
      end

      private

      def hear_entry(payload, on_entry)
        stream, _, seq = payload.rpartition(':')
        on_entry.call(stream, seq.to_i)
      end

      def hear_transient(payload, on_transient)
        process, stream, text = payload.split("\n", 3)
        on_transient.call(stream, text) unless process == @process
      end
    end
  end
end
