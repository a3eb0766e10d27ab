# frozen_string_literal: true

module Veranda
  module Preparing
    # Makes of answers without names what is kept of them, once their round is closed; and lets go of them, and of what tells whose they
    # are. All of it may be done twice.
    class CountingBallots
      # @param archive [Store::Archive]
      # @param sitting_id [String]
      def initialize(archive, sitting_id)
        @log = archive.log
        @sitting_id = sitting_id
      end

      # Counts the closed rounds of a poll.
      # @param id [String] of the poll
      def count(id)
        ballots = @log.ballots.of(names.poll(@sitting_id, id))
        question = staff.polls[id]&.fetch(:question) or return
        closed(id).each do |round|
          perform('poll.count', Core::Polls::CountBallots.count(ballots, round, question), names.answers(@sitting_id, id))
        end
      end

      # Counts the marks on a board for the closed rounds of a poll that are answered so, as they were then.
      def count_marks(id)
        question = staff.polls[id]&.fetch(:question)
        return unless question && question[:kind] == Core::Polls::Question::MARKS

        counted = @log.state(names.answers(@sitting_id, id)).first
        poll(id).rounds.select { |round| round[:closed_at] && counted.by_person(round[:round]).empty? }.each do |round|
          rows = marks_at(question, round[:closed_at]).map { |person, value| { person: person, value: value } }
          perform('poll.count_marks', { round: round[:round], answers: rows }, names.answers(@sitting_id, id)) if rows.any?
        end
      end

      # Counts how many ask what.
      def votes
        stream = names.questions(@sitting_id)
        rows = Core::Questions::Vote.counts(@log.ballots.of(stream), @log.state(stream).first)
        perform('question.count', { votes: rows }, stream) if rows.any?
      end

      # @param id [String] of a poll that is put away
      def put_away(id)
        return unless staff.polls[id]&.fetch(:away)

        count(id)
        @log.ballots.forget([names.poll(@sitting_id, id)])
      end

      # Closes and counts what is open in a class that is over, and keeps nothing by which one could tell who answered what.
      def finish
        return unless @log.state(names.sitting(@sitting_id)).first.ended?

        staff.polls.begun.each { |row| close(row[:id]) }
        votes
        @log.ballots.forget(@log.ballots.kept(@sitting_id))
      end

      private

      def names = Core::Streams::StreamName
      def staff = @staff ||= @log.state(names.staff(@sitting_id)).first
      def poll(id) = @log.state(names.poll(@sitting_id, id)).first

      def closed(id)
        state = poll(id)
        return [] unless state.nameless?

        counted = @log.state(names.answers(@sitting_id, id)).first
        state.rounds.select { |round| round[:closed_at] && !counted.counted?(round[:round]) }.map { |round| round[:round] }
      end

      def close(id)
        round = poll(id).round
        perform('poll.close', { poll: id, round: round[:round] }, names.staff(@sitting_id)) if round
        count(id)
        count_marks(id)
      end

      def marks_at(question, at)
        students = @log.state(names.sitting(@sitting_id)).first.seats.values.reject(&:staff?).map(&:id)
        Core::Polls::CountMarks.count(@log.state_at(names.board(question[:board]), at), question, students)
      end

      def perform(name, input, stream) = Deciding::Perform.call(@log, name, input, stream: stream)
    end
  end
end
