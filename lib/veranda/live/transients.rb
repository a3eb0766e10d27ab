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

      # @yieldparam stream [String]
      # @yieldparam json [String] a whole message
      def initialize(&send)
        @send = send
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
          waiting.each do |stream, messages|
            @send.call(stream, %({"t":"now","stream":#{JSON.generate(stream)},"all":[#{messages.each_value.to_a.join(',')}]}))
          end
          task.sleep(TICK)
        end
      end
    end
  end
end
