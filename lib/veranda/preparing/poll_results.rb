# frozen_string_literal: true

module Veranda
  module Preparing
    # What the polls of a class come to, for staff and for whoever answered; and what of it is shown to all.
    class PollResults
      # Names of those who have not answered yet; of more, how many.
      MOST_NAMES = 12
      # Groups of written answers that are shown, and different ways of writing one of them.
      MOST_GROUPS = 80
      MOST_TEXTS = 8

      # @param archive [Store::Archive]
      # @param sitting_id [String]
      def initialize(archive, sitting_id)
        @log = archive.log
        @sitting_id = sitting_id
      end

      # How the last round of a poll comes along.
      # @param id [String] of the poll
      # @param at [Integer] ms since the epoch; of several counts that meet somewhere, the latest is right
      # @return [Hash] `{ at:, round:, answered:, expected:, missing:, more:, results: }`
      def live(id, at: now)
        staged!(id)
        round = poll(id).rounds.last&.fetch(:round) or raise no_round
        { at: at, round: round, **who(id, round), results: results(id, round) }
      end

      # @param round [Integer, nil] the last one that counts
      # @param since [Integer, nil] an earlier one
      # @return [Hash] see {Core::Polls::Results}
      def of(id, round: nil, since: nil)
        staged!(id)
        results(id, round(id, round), since && round(id, since))
      end

      # The same for students, who are not told what is right.
      def for_students(id, **rounds) = brief(of(id, **rounds), tell: false)

      # @param by [Hash] who shows it
      # @param tell [Boolean] whether what is right is told too
      # @param at [Integer] ms since the epoch
      def show(id, by:, tell:, at: now, **rounds)
        input = { poll: id, results: brief(of(id, **rounds), tell: tell), tell: tell }
        Deciding::Perform.call(@log, 'poll.show', input, stream: names.staff(@sitting_id), by: Core::Person.new(**by), at: at)
      end

      # @param set [String] id
      # @return [Hash] `{ polls:, people: [{ id:, name:, answered: }] }`, the slowest first; nobody where any of it is without names
      def progress(set)
        ids = staff.polls.begun.select { |row| row[:set]&.fetch(:id) == set }.map { |row| row[:id] }
        raise Core::Refusal.new(:no_such_poll, 'There is no such set in this class.') if ids.empty?

        { polls: ids.length, people: ids.any? { |id| poll(id).nameless? } ? [] : come_so_far(ids) }
      end

      # Who answered what in a round; nobody where there are no names.
      # @return [Array<Hash>] `{ id:, name:, value:, right: }`
      def named(id, round: nil)
        question = staged!(id)[:question]
        grader = Core::Polls::Answer.new(question)
        given(id, round(id, round)).map do |person, value|
          { id: person, name: sitting.seats[person]&.name || person, value: value, right: grader.grade(value) }
        end
      end

      # @return [String] CSV, see {Core::Polls::Table}
      def table(id)
        question = staged!(id)[:question]
        names = sitting.seats.transform_values(&:name)
        Core::Polls::Table.new(question, poll(id), answers(id), names: names).csv
      end

      # What somebody has answered to the polls that are open to them.
      # @param person [String] id
      # @return [Array<Hash>] `{ poll:, round:, value: }`
      def mine(person)
        staff.polls.for_place(sitting.seats[person]&.place).filter_map do |row|
          poll = poll(row[:id])
          round = poll.rounds.last&.fetch(:round) or next
          value = answer_of(poll, row[:id], round, person)
          { poll: row[:id], round: round, value: value } unless value.nil?
        end
      end

      private

      def names = Core::Streams::StreamName
      def now = Process.clock_gettime(Process::CLOCK_REALTIME, :millisecond)
      def staff = @staff ||= @log.state(names.staff(@sitting_id)).first
      def sitting = @sitting ||= @log.state(names.sitting(@sitting_id)).first
      def poll(id) = (@poll ||= {})[id] ||= @log.state(names.poll(@sitting_id, id)).first
      def answers(id) = (@answers ||= {})[id] ||= @log.state(names.answers(@sitting_id, id)).first
      def no_round = Core::Refusal.new(:no_such_round, 'This poll has no such round.')

      def staged!(id)
        staff.polls[id] || raise(Core::Refusal.new(:no_such_poll, 'There is no such poll in this class.'))
      end

      def round(id, number)
        return poll(id).standing.last&.fetch(:round) || raise(no_round) unless number

        poll(id).rounds.any? { |row| row[:round] == number } ? number : raise(no_round)
      end

      def results(id, round, since = nil)
        found = Core::Polls::Results.new(staff.polls[id][:question], answers(id))
        return found.of(round, since: since) unless uncounted?(id, round)
        return { round: round, tally: found.tally_of(marks(id).values) } if counts_marks?(id)

        count, told = @log.ballots.told(names.poll(@sitting_id, id), round)
        { round: round, tally: found.tally_of(told, count: count) }
      end

      def uncounted?(id, round)
        return !closed?(id, round) || answers(id).by_person(round).empty? if counts_marks?(id)

        poll(id).nameless? && !answers(id).counted?(round)
      end

      def counts_marks?(id) = staff.polls[id][:question][:kind] == Core::Polls::Question::MARKS
      def closed?(id, round) = poll(id).rounds.find { |row| row[:round] == round }&.fetch(:closed_at)

      # @return [Hash{String => Array<String>}] what the marks of students on the board are in, by person
      def marks(id)
        question = staff.polls[id][:question]
        students = sitting.seats.values.reject(&:staff?).map(&:id)
        (@marks ||= {})[id] ||= Core::Polls::CountMarks.count(@log.state(names.board(question[:board])).first, question, students)
      end

      def answer_of(poll, id, round, person)
        return @log.ballots.mine(names.poll(@sitting_id, id), round, person) if poll.nameless?

        answers(id).by_person(round)[person]
      end

      # Those whom it is for and who are here; without names only how many.
      def who(id, round)
        place = staff.polls[id][:place]
        here = sitting.present.reject { |seat| seat.staff? || (place && seat.place != place) }
        return { answered: count(id, round), expected: [here.length, count(id, round)].max, missing: [], more: 0 } if poll(id).nameless?

        given = given(id, round)
        missing = here.reject { |seat| given.key?(seat.id) }
        { answered: given.length, expected: given.length + missing.length, more: [missing.length - MOST_NAMES, 0].max,
          missing: missing.first(MOST_NAMES).map { |seat| { id: seat.id, name: seat.name } } }
      end

      def given(id, round) = counts_marks?(id) && uncounted?(id, round) ? marks(id) : answers(id).by_person(round)

      def come_so_far(ids)
        given = ids.flat_map { |id| answers(id).by_person(poll(id).rounds.last[:round]).keys }.tally
        people = sitting.present.reject(&:staff?).map { |seat| { id: seat.id, name: seat.name, answered: given[seat.id] || 0 } }
        people.sort_by { |row| row.values_at(:answered, :name) }
      end

      def count(id, round)
        uncounted?(id, round) ? @log.ballots.told(names.poll(@sitting_id, id), round).first : answers(id).count(round)
      end

      # What is shown to all is kept for ever and sent to everyone. Unless what is right is told, neither is how many were.
      def brief(results, tell:)
        briefs = results.except(:struck).transform_values { |value| value.is_a?(Hash) && value[:groups] ? briefly(value) : value }
        if tell
          briefs
        else
          briefs.transform_values { |value| value.is_a?(Hash) ? { **value, right: nil } : value }
        end
      end

      def briefly(tally)
        { **tally, groups: tally[:groups].first(MOST_GROUPS).map { |group| { **group, texts: group[:texts].first(MOST_TEXTS) } } }
      end
    end
  end
end
