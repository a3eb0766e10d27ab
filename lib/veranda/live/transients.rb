# frozen_string_literal: true

module Veranda
  module Live
    # Gathers transient messages (pointer, a stroke while it is drawn, typing) and sends each
    # stream's together as one frame, as often as the reactor gets round to it. Under load
    # frames grow and their number does not.
    class Transients
      # Most a glimpse may hold, in bytes of JSON.
      LIMIT = 4_096
      # Glimpses of one stream that wait for the next frame; further ones are lost.
      MOST_WAITING = 500
      # Shortest time between two frames of the same stream, in s.
      TICK = 0.006

      # Bytes of a frame that other processes are told of, at most, without what goes around it. More goes in several.
      FAR = 7_000

      # @param near [#call] given a stream and a whole message as JSON, for those who are connected here
      # @param far [#call] the same, for other processes; in several messages where they are long
      def initialize(near:, far:)
        @near = near
        @far = far
        @waiting = {}
        @ready = Async::Notification.new
      end

      # @param stream [String]
      # @param by [String] person id
      # @param kind [String] a newer `pointer`, `view` or `typing` takes the place of an older one
      # @param body [Hash]
      def add(stream, by, kind, body)
        json = JSON.generate({ by: by, kind: kind, body: body })
        return if json.bytesize > LIMIT

        waiting = (@waiting[stream] ||= {})
        return if waiting.length >= MOST_WAITING

        waiting[kind == 'ink' ? [by, kind, waiting.size] : [by, kind]] = json
        @ready.signal
      end

      # Works for ever; run it in a task of its own.
      # @param task [Async::Task]
      def run(task)
        loop do
          @ready.wait while @waiting.empty?
          waiting, @waiting = @waiting, {}
          waiting.each { |stream, messages| pass(stream, messages.values) }
          task.sleep(TICK)
        end
      end

      private

      # What cannot be sent is lost, and what comes after it is not.
      def pass(stream, messages)
        @near.call(stream, frame(stream, messages))
        parts(messages).each { |some| @far.call(stream, frame(stream, some)) }
      rescue StandardError => e
        Complaint.of(self, 'Glimpses could not be passed on', e)
      end

      def frame(stream, messages) = %({"t":"now","stream":#{JSON.generate(stream)},"all":[#{messages.join(',')}]})

      # @return [Array<Array<String>>]
      def parts(messages)
        size = 0
        messages.slice_when { |before, after| ((size += before.bytesize + 1) + after.bytesize > FAR).tap { |full| size = 0 if full } }
      end
    end
  end
end
