# frozen_string_literal: true

module Veranda
  module Preparing
    # What was said, written, asked and drawn in a recording, gathered to be kept elsewhere. All of it is what {Core::Recordings::Shown}
    # lets through.
    class RecordedWriting
      # @param replay [Store::Replay] with captions
      def initialize(replay)
        @replay = replay
        @recording = replay.recording
      end

      # @return [Array<Hash>] what was written to all, see {Core::Recordings::WrittenUp}
      def posts
        told_posts.map do |post|
          words = [post[:text], *('(a file)' if post[:file])].reject(&:empty?).join(' ')
          { from: @recording.clock.time(post[:at]), how: Core::Recordings::WrittenUp::WROTE, name: post[:name], words: words }
        end
      end

      # @return [Array<Hash>] what was said, as far as somebody wrote captions, in the language that has most
      def said
        captioned = @replay.captioned
        cues = captioned.languages.map { |lang| captioned.cues(lang) }.max_by(&:length) || []
        cues.map { |cue| { from: cue.from, to: cue.to, how: Core::Recordings::WrittenUp::SAID, name: nil, words: cue.words } }
      end

      # @return [Array<Array(Hash, Hash)>] questions, each with what was shown of its answers, once for each round
      def polls
        questions, shown = {}, {}
        @replay.all.each do |one|
          case one[:kind]
          when 'seam' then stand(one[:streams], questions, shown)
          when 'poll_begun' then questions[one[:stream]] = one[:body][:question]
          when 'poll_shown' then shown[[one[:stream], one[:body][:round]]] = one[:body]
          end
        end
        shown.filter_map { |(stream, _), results| [questions[stream], results] if questions[stream] }
      end

      # @return [Array<String>] ids of files that were posted
      def files = told_posts.filter_map { |post| post[:file] }

      # @return [Array<Array(String, String, Core::Boards::Board)>] boards with anything on them, each with its id and name, as they were in
      #   the end
      def drawn
        names = @replay.shown.clean(@recording.sitting.boards).to_h { |board| board.values_at(:id, :name) }
        streams.select { |name,| kind(name) == :board }.filter_map do |name, view|
          board = Core::Streams::Fold.seen(name, view)
          id = Core::Streams::StreamName.id(name)
          [id, names[id] || 'Board', board] if board.marks.any? || board.page_facts.any?
        end
      end

      # @return [Array<Array(String, Core::Boards::Board)>] the same by their names, see {Workshop::BoardFiles#pdf}
      def boards = drawn.map { |_, name, board| [name, board] }

      private

      def told_posts = streams.select { |name,| kind(name) == :exchange }.flat_map { |_, view| view[:posts] }
      def streams = @streams ||= @replay.last[:streams]
      def kind(name) = Core::Streams::StreamName.kind(name)

      def stand(streams, questions, shown)
        streams.each do |name, view|
          next unless kind(name) == :poll && view[:question]

          questions[name] = view[:question]
          shown[[name, view[:shown][:round]]] = view[:shown] if view[:shown]
        end
      end
    end
  end
end
