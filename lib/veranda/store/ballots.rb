# frozen_string_literal: true

require 'openssl'

module Veranda
  module Store
    # Answers to polls without names, and nothing by which one could tell whose they are. See docs/polls.md on what this guards against.
    #
    # Whoever answers is known again by a token, the HMAC of their id under a secret of that poll's own. All answers of one round lie
    # in one value that the database keeps in the order of the tokens: so neither rows nor times tell who came after whom. Secrets are made
    # by the database and never written in a statement. They have a table of their own, which goes into no backup, and are deleted with
    # the answers when a class is over or the poll is put away.
    class Ballots
      # Somebody's answer stays as it was.
      class Unchanging < StandardError
        # @return [Array<Core::Polls::Ballot>] those that were not taken
        attr_reader :ballots

        def initialize(ballots)
          @ballots = ballots
          super('answered already')
        end

        # @return [Core::Refusal]
        def refusal
          @ballots.first.poll.start_with?('questions/') ? Core::Questions::Vote.own! : Core::Polls::AnswerPoll.unchanging!
        rescue Core::Refusal => e
          e
        end
      end

      # HMAC after RFC 2104 with SHA-256 (FIPS 180-4).
      def self.token(secret, person) = OpenSSL::HMAC.hexdigest('SHA256', secret, person)[0, 32]

      # @param db [Sequel::Database]
      def initialize(db)
        @db = db
        @keep = db['UPDATE ballots SET answers = CAST(:answers AS jsonb) WHERE poll = :poll AND round = CAST(:round AS integer)',
                   answers: :$answers, poll: :$poll, round: :$round].prepare(:update, :keep_ballots)
      end

      # Takes answers in, all or none, in the transaction that is under way.
      # @param ballots [Array<Core::Polls::Ballot>]
      # @raise [Unchanging]
      def cast(ballots)
        refused = ballots.group_by { |ballot| [ballot.poll, ballot.round] }.sort.flat_map { |(poll, round), some| take(poll, round, some) }
        raise Unchanging, refused if refused.any?
      end

      # @param poll [String] name of its stream
      # @return [Hash{Integer => Hash{String => Object}}] answers by round and token
      def of(poll)
        rows(poll).select_map([:round, text(:answers)]).to_h { |round, answers| [round, JSON.parse(answers)] }
      end

      # @param person [String]
      # @return [Object, nil] what somebody answered themselves
      def mine(poll, round, person) = all_mine(poll, person)[round]

      # @return [Hash{Integer => Object}] the same in every round
      def all_mine(poll, person)
        secret = @db[:poll_secrets].where(poll: poll).get(:secret) or return {}
        own = Ballots.token(secret, person)
        of(poll).filter_map { |round, answers| [round, answers[own]] if answers.key?(own) }.to_h
      end

      # What may be told of a round while it is open: more only once several people have answered for the first time since, for from one
      # answer more one would know whose it is. What somebody changes later is told when the round is closed: else two who change theirs
      # again and again would bring to light what a third one does.
      # @return [Array(Integer, Array<Object>)] how many answered, and the answers of those of whom enough had come
      def told(poll, round)
        @db.transaction do
          answers, told = rows(poll).where(round: round).for_update.get([text(:answers), text(:told)])&.map { |json| JSON.parse(json) }
          next [0, []] unless answers

          fresh = answers.except(*told.keys)
          if fresh.length >= Core::Polls::Tally::FEWEST
            told = told.merge(fresh)
            rows(poll).where(round: round).update(told: JSON.generate(told))
          end
          [answers.length, told.values]
        end
      end

      # Lets go of what is kept of polls, but for what was counted.
      # @param polls [Array<String>] names of their streams
      def forget(polls)
        @db.transaction { %i[poll_secrets ballots].each { |table| @db[table].where(poll: polls).delete } }
      end

      # @return [Array<String>] ids of classes that are over, and of which something is kept still
      def overdue
        of_class = Sequel.lit("poll LIKE 'poll/' || sittings.id || '.%' OR poll = 'questions/' || sittings.id")
        kept = @db[:poll_secrets].where(of_class).select(1)
        @db[:sittings].where(status: 'ended').where(kept.exists).select_map(:id)
      end

      # @param sitting [String]
      # @return [Array<String>] polls of a class, and its questions, of which anything is kept
      def kept(sitting)
        polls = Sequel.like(:poll, "poll/#{@db.dataset.escape_like(sitting)}.%")
        @db[:poll_secrets].where(polls | { poll: Core::Streams::StreamName.questions(sitting) }).select_map(:poll)
      end

      private

      def rows(poll) = @db[:ballots].where(poll: poll)
      def text(column) = Sequel.cast(column, String).as(column)

      # @return [Array<Core::Polls::Ballot>] those that would change what may not be changed
      def take(poll, round, ballots)
        secret = secret(poll)
        @db[:ballots].insert_conflict.insert(poll: poll, round: round)
        answers = JSON.parse(rows(poll).where(round: round).for_update.get(text(:answers)))
        refused = ballots.reject { |ballot| put(answers, Ballots.token(secret, ballot.person), ballot) }
        @keep.call(answers: JSON.generate(answers), poll: poll, round: round) if refused.empty?
        refused
      end

      def put(answers, token, ballot)
        if answers.key?(token) && answers[token] != ballot.value && (!ballot.change || answers[token] == Core::Questions::Vote::OWN)
          return false
        end

        answers[token] = ballot.value
        true
      end

      def secret(poll)
        @db[:poll_secrets].where(poll: poll).get(:secret) || begin
          @db[:poll_secrets].insert_conflict.insert(poll: poll)
          @db[:poll_secrets].where(poll: poll).get(:secret)
        end
      end
    end
  end
end
