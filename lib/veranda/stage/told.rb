# frozen_string_literal: true

module Veranda
  module Stage
    # What the media server tells a {Participant} of the room that they are in.
    module Told
      # A stand-in speaks, of whom the media server tells nothing by itself.
      # @param place [Array(String, String)] ids of the class and the place
      def told_voice(place, person, on)
        return unless feeds && [@at.sitting, @at.place] == place

        told = { videoroom: on ? 'talking' : 'stopped-talking', id: person }
        talked(told) if feeds.hear(told)
      end

      private

      # What is told of the room comes between other things that are done.
      def hear(event)
        data = event.dig(:plugindata, :data)
        return unless data && feeds
        return taken_over if data[:leaving] == 'ok'

        case feeds.hear(data)
        when :talk then talked(data)
        when :changed then changed
        when :over then anew
        end
      end

      def talked(data)
        talks = data[:videoroom] == 'talking'
        @voice.talks(talks) if data[:id] == @person
        # Whoever speaks is seen.
        @jobs.once(:watch) { watch } if talks
      end

      # The same person has come in by another page.
      def taken_over
        @ceded = true
        @jobs.once(:leave) { leave }
        state
      end

      def changed
        @jobs.once(:change) do
          state
          watch
        end
      end
    end
  end
end
