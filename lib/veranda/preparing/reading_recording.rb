# frozen_string_literal: true

module Veranda
  module Preparing
    # Reads all words of a recording that may be seen in it: posts, questions, captions, what is written on boards and slides, polls and
    # chapters, each with when it came.
    class ReadingRecording
      # Letters of one that are kept.
      LONGEST = 2_000
      # In one recording.
      MOST = 20_000

      # @param archive [Store::Archive]
      # @param replay [Store::Replay]
      def initialize(archive, replay)
        @archive = archive
        @replay = replay
        @recording = replay.recording
      end

      # @return [Array<Hash>] `{ at:, kind:, words:, board:, page: }`, `at` in ms since the epoch; the last two of what stands on a page
      def rows
        all = @replay.all.flat_map { |one| one[:kind] == 'seam' ? there(one) : of_entry(one) } + captions + chapters
        all.reject { |row| row[:words].strip.empty? }.uniq { |row| row.values_at(:kind, :words, :board, :page) }.first(MOST)
           .map { |row| row.merge(words: row[:words].delete("\0")[0, LONGEST]) }
      end

      private

      def of_entry(entry)
        at, body = entry.values_at(:at, :body)
        case entry[:kind]
        when 'posted' then [row(at, 'post', body[:text])]
        when 'question_asked' then [row(at, 'question', body[:text])]
        when 'question_answered' then body[:words] ? [row(at, 'question', body[:words])] : []
        when 'poll_begun' then [row(at, 'poll', poll(body[:question]))]
        when 'edited' then body[:ops].filter_map { |op| written(at, entry[:stream], op) }
        when 'shown' then slide(at, body)
        else []
        end
      end

      # An operation that changes a mark does not say on which page it is.
      def written(at, stream, operation)
        mark = operation[:mark] || operation[:set] or return
        pages[[stream, mark[:id]]] = mark[:page] if operation[:mark]
        on_page(at, stream, pages[[stream, mark[:id] || operation[:id]]], mark)
      end

      # @return [Hash{Array(String, String) => String}] pages of marks, by stream and id
      def pages = @pages ||= {}

      # What stands on the boards where the recording begins, and where it goes on after something was left out.
      def there(seam)
        boards = seam[:streams].select { |name, _| Core::Streams::StreamName.kind(name) == :board }
        boards.flat_map do |stream, view|
          view[:marks].map do |mark|
            pages[[stream, mark[:id]]] = mark[:page]
            on_page(seam[:wall], stream, mark[:page], mark)
          end
        end
      end

      def on_page(at, stream, page, mark)
        row(at, 'board', Core::Boards::Mark.words(mark), board: Core::Streams::StreamName.id(stream), page: page)
      end

      def poll(question) = [question[:text], *(question[:options] || []).map { |option| option[:text] }].compact.join("\n")

      def slide(at, body)
        return [] unless body[:board] && body[:page]

        @slides ||= {}
        key = body.values_at(:board, :page)
        return [] if @slides.key?(key)

        @slides[key] = true
        ground = @archive.log.state_at(Core::Streams::StreamName.board(body[:board]), at).page_facts.dig(body[:page], :ground) or return []
        words = @archive.materials.slides(ground[:material], ground[:version]).find { |one| one[:slide] == ground[:slide] }&.fetch(:words)
        [row(at, 'slide', @replay.shown.clean(words.to_s), board: body[:board], page: body[:page])]
      end

      def captions
        captioned = @replay.captioned
        captioned.languages.flat_map do |lang|
          captioned.cues(lang).map do |cue|
            row(@recording.clock.wall(cue.from), 'caption', cue.words)
          end
        end
      end

      def chapters = @recording.chapters.map { |chapter| row(chapter[:at], 'chapter', @replay.shown.clean(chapter[:title])) }

      def row(at, kind, words, board: nil, page: nil) = { at: at, kind: kind, words: words.to_s, board: board, page: page }
    end
  end
end
