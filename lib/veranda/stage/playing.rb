# frozen_string_literal: true

require 'json'

module Veranda
  module Stage
    # The process that sends what stand-ins say and show, see {StandIns::Media::Sender}. Begun at first use, and again when it went away,
    # with all that it had; it ends with this process.
    class Playing
      include Terse

      SCRIPT = File.join(ROOT, 'stand_ins.rb')

      def initialize
        @played = {}
      end

      # @param id [String]
      # @param facts [Hash] see {StandIns::Media::Sender}
      def begin(id, **facts)
        @played[id] = facts
        say(play: id, **facts)
      end

      # @param id [String]
      def stop(id) = @played.delete(id) && say(stop: id)

      private

      def say(**facts)
        pipe.write("#{JSON.generate(facts)}\n")
      rescue SystemCallError, IOError
        @pipe = nil
        @played.each { |id, played| pipe.write("#{JSON.generate(play: id, **played)}\n") }
      end

      def pipe = @pipe ||= IO.popen([RbConfig.ruby, SCRIPT, { pgroup: true }], 'w').tap { |pipe| pipe.sync = true }
    end
  end
end
