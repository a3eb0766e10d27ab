# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # The captions of a recording: what was typed during the class, as it was corrected afterwards, in the time of the recording.
      class Captioned
        # ms that a line stays for each of its letters, and at least and at most, when nobody says how long.
        PER_LETTER = 70
        LEAST = 500
        STAYS = (2_000..7_000)

        # @param recording [Recording]
        # @param shown [Shown]
        # @param live [Array<Streams::Entry>] of kind `captioned`
        def initialize(recording, shown, live)
          @recording = recording
          @shown = shown
          @live = live
        end

        # @return [Array<String>] languages in which there are any (BCP 47)
        def languages
          (@live.map { |entry| entry.body[:lang] } + @recording.edits.captions.keys).uniq.reject { |lang| cues(lang).empty? }.sort
        end

        # @param lang [String]
        # @return [Array<Cue>] in order, each within what is left of the recording
        def cues(lang)
          lines(lang).filter_map { |line| placed(line) }.sort_by { |cue| [cue.from, cue.to] }
        end

        private

        # @return [Array<Hash>] `{ id:, from:, to:, words:, by: }` by the time of day
        def lines(lang)
          changes = @recording.edits.captions[lang] || Edits::NO_CAPTIONS
          typed = changes[:whole] ? [] : typed(lang)
          typed.reject { |line| changes[:lines].key?(line[:id]) || changes[:gone].include?(line[:id]) } + changes[:lines].values
        end

        # Each until the next, or until it can be read.
        def typed(lang)
          rows = @live.select { |entry| entry.body[:lang] == lang }
          rows.zip(rows.drop(1)).map do |entry, following|
            from = began(entry)
            to = [entry.at + stays(entry.body[:words]), following && began(following)].compact.min
            { **entry.body.slice(:id, :words), from: from, to: [to, from + LEAST].max, by: entry.actor }
          end
        end

        def began(entry) = entry.at - entry.body[:took]
        def stays(words) = (words.length * PER_LETTER).clamp(STAYS.min, STAYS.max)

        # What lies in a cut is none of it; what reaches into one ends there.
        def placed(line)
          return if @shown.left_out?(line[:by])

          clock = @recording.clock
          from, to = clock.time(line[:from]), clock.time(line[:to])
          words = to > from && @shown.clean(line[:words])
          Cue.new(id: line[:id], from: from, to: to, words: words) if words
        end
      end
    end
  end
end
