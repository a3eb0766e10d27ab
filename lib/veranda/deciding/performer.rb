# frozen_string_literal: true

module Veranda
  module Deciding
    # Carries out orders: locks the streams they write to, reads what other processes added, lets the core
    # decide one after the other, and stores all new entries in one commit.
    #
    #   performer = Performer.new(log) { |entry| publish(entry) }
    #   performer.perform([order, order], at: now) #=> [Outcome, Outcome]
    #
    # Streams that are only looked at are taken as they were last heard of, and when one of them turns out to have moved at the moment of
    # writing, nothing is stored and all is decided again. The same goes for streams that nobody else has written to of late; where others
    # do, all are held before anything is decided. What must follow the entries is stored with them.
    #
    # Entries reach the block in the order of their stream, each once, and only after they
    # are committed, whichever process added them. One performer serves one caller at a time.
    class Performer
      include Terse

      # How often orders are decided again because something they looked at had moved.
      TRIES = 5

      # @param log [Store::Log]
      # @param rng [Random]
      # @param alone [#call] whether this is the only server process, see {Store::Log::Writing}
      # @yieldparam entry [Core::Streams::Entry]
      def initialize(log, rng: Random.new, alone: -> { false }, &published)
        @log = log
        @rng = rng
        @alone = alone
        @published = published || proc {}
        @copies = {}
        @casting = {}
        @committed = {}
      end

      # @param name [String]
      # @return [StreamCopy] up to date as far as this process has heard
      def copy(name) = @copies[name] ||= StreamCopy.load(name, @log)

      # @return [Boolean] whether `name` is held here and behind `seq`
      def behind?(name, seq) = @copies.key?(name) && @copies[name].seq < seq

      # Reads what others have added to a stream.
      def catch_up(name)
        copy = copy(name)
        @log.entries(name, after: copy.seq).each { |entry| take(copy, entry) }
      end

      # @param orders [Array<Order>]
      # @param at [Integer] ms since the epoch
      # @return [Array<Outcome>] one for each order
      # @raise [StandardError] when nothing was stored; the copies are as they were committed
      def perform(orders, at:)
        outcomes = known_or { commit(orders, at) }
        outcomes.each { |outcome| outcome.entries.each(&@published) }
        outcomes
      end

      private

      # Who repeats an order that was carried out is told so, also when they did not know that they repeat it.
      def known_or
        outcomes = yield
        doubtful = outcomes.select { |outcome| outcome.refusal && !outcome.order.again }
        done = already(doubtful.map(&:order))
        outcomes.map { |outcome| done[outcome.order] ? repeated(outcome.order, done[outcome.order]) : outcome }
      end

      def repeated(order, seq) = Outcome.new(order: order, seq: seq)

      # @return [Hash{Order => Integer}] by identity: seq of those that were carried out before
      def already(orders)
        done = {}.compare_by_identity
        return done if orders.empty?

        seqs = @log.known(orders.flat_map { |order| order.writes.map { |name| [name, order.id] } })
        orders.each do |order|
          seq = order.writes.filter_map { |name| seqs[[name, order.id]] }.first
          done[order] = seq if seq
        end
        done
      end

      def commit(orders, at)
        tries ||= 0
        append(orders, at)
      rescue Store::Ballots::Unchanging => e
        without(e, orders, at)
      rescue Sequel::UniqueConstraintViolation
        # Some order had been carried out before, unknown to us. Ask for all of them this time.
        raise if orders.all?(&:again)

        orders.each { |order| order.again = true }
        retry
      rescue Store::Log::Moved => e
        raise if (tries += 1) >= TRIES

        # Whoever else writes there may go on doing so: next time the streams are locked first.
        e.names.each do |name|
          catch_up(name)
          copy(name).share
        end
        retry
      end

      # Whoever gave ballots that cannot be taken is told; the rest is decided once more without them.
      # @param error [Store::Ballots::Unchanging]
      def without(error, orders, at)
        refused = @casting.values_at(*error.ballots)
        others = orders.reject { |order| refused.any? { |one| one.equal?(order) } }
        done = {}.compare_by_identity.update(others.zip(others.empty? ? [] : commit(others, at)).to_h)
        orders.map { |order| done[order] || Outcome.new(order: order, refusal: error.refusal) }
      end

      def append(orders, at)
        writes = orders.flat_map(&:writes).uniq
        begin_streams(orders)
        looked = looked(orders, writes)
        writes.any? { |name| copy(name).shared? } ? append_locked(orders, at, writes, looked) : append_at_once(orders, at, writes, looked)
      rescue StandardError => e
        # What was decided in vain goes; folding all anew would hold up everybody else.
        @copies.update(@committed)
        @log.disconnect if e.is_a?(Sequel::DatabaseDisconnectError)
        raise
      ensure
        @committed = {}
      end

      def append_locked(orders, at, writes, looked)
        outcomes = nil
        @log.append(writes, looked: looked, alone: @alone.call) do |heads|
          heads.each { |name, head| catch_up(name) if copy(name).seq < head }
          outcomes = decide_all(orders, at)
          commit_of(outcomes)
        end
        outcomes
      end

      def append_at_once(orders, at, writes, looked)
        expected = writes.to_h { |name| [name, copy(name).seq] }
        outcomes = decide_all(orders, at)
        unmoved!(outcomes, looked.merge(expected), expected.keys)
        commit = commit_of(outcomes)
        @log.append_at(commit, expected: expected, looked: looked, alone: @alone.call) unless commit.empty?
        outcomes
      end

      def commit_of(outcomes) = Store::Log::Commit.new(*%i[entries ballots errands].map { |what| outcomes.flat_map(&what) })

      # What is written shows at the moment of writing whether all of it still is as it was. A refusal, and that there is nothing to do,
      # may be due to something that this process has not heard of yet.
      def unmoved!(outcomes, known, written)
        return unless outcomes.any?(&:refusal) || outcomes.all? { |outcome| outcome.entries.empty? }

        heads = @log.heads(known.keys)
        raise Core::Refusal.new(:unknown_stream, 'There is no such board or class.') unless written.all? { |name| heads.key?(name) }

        moved = known.reject { |name, seq| heads.fetch(name, seq) == seq }.keys
        raise Store::Log::Moved, moved if moved.any?
      end

      # In a commit of their own, since making them and then waiting for a lock could have two processes wait for each other. One that is
      # held here may have been looked at before it was there.
      def begin_streams(orders)
        orders.flat_map(&:begins).uniq.each { |name| @log.begin(name) unless @copies[name]&.seq&.positive? }
      end

      # @return [Hash{String => Integer}] seq of the streams that are looked at, as they are known here
      def looked(orders, writes) = (orders.flat_map(&:reads).uniq - writes).to_h { |name| [name, copy(name).seq] }

      def decide_all(orders, at)
        done = already(orders.select(&:again))
        @committed = orders.flat_map(&:writes).uniq.to_h { |name| [name, copy(name).dup] }
        ids = {}
        @casting = {}.compare_by_identity
        orders.map do |order|
          seq = done[order] || ids[[order.stream, order.id]]
          outcome = seq ? repeated(order, seq) : decide(order, at)
          # The same id twice in one batch counts once.
          ids[[order.stream, order.id]] = outcome.seq if outcome.entries.any?
          outcome
        end
      end

      def decide(order, at)
        readable!(order)
        decided = Core::Commands.drafts(order.command, order.input, scene(order, at))
        ballots, drafts = decided.partition { |one| one.is_a?(Core::Polls::Ballot) }
        ballots.each { |ballot| @casting[ballot] = order }
        entries, errands = store(order, drafts, at)
        seq = entries.reverse.find { |entry| entry.stream == order.stream }&.seq || entries.first&.seq
        Outcome.new(order: order, entries: entries, ballots: ballots, errands: errands, seq: seq || copy(order.stream).seq)
      rescue Core::Refusal => e
        Outcome.new(order: order, refusal: e)
      end

      # The first entry on each stream carries the id of the command, by which it is known again.
      # @return [Array(Array<Core::Streams::Entry>, Array<Core::Errands::Errand>)]
      # @raise [ArgumentError] when the command writes where it did not say it would
      def store(order, drafts, at)
        strangers = drafts.map(&:stream) - order.writes
        raise ArgumentError, "#{order.command.wire_name} did not declare #{strangers.first}" if strangers.any?

        first = Hash.new(order.id)
        drafts.each_with_object([[], []]) do |draft, (entries, errands)|
          copy = copy(draft.stream)
          entries << copy.add(draft, at: at, by: order.by, command_id: first[draft.stream])
          errands.concat(Core::Errands.of(entries.last, copy.state))
          first[draft.stream] = nil
        end
      end

      def scene(order, at)
        Core::Scene.new(order.concern, by: order.by, at: at, rng: @rng, outside: order.outside,
                                       earlier: ->(seq) { @log.state_after(order.stream, seq) }) { |name| copy(name).state }
      end

      # @raise [Core::Refusal] `no_access`
      def readable!(order)
        return if order.internal? || open?(order)

        raise Core::Refusal.new(:no_access, "That #{order.course_id ? 'course' : 'board or class'} is not open to you.")
      end

      # Who comes by the lesson's door has been let to the board there, unless the class has turned them out.
      def open?(order)
        return Core::Access::InCourse.new(order.by, order.course_id, state(order, :people)).reads?(order.stream) if order.course_id
        return true unless order.sitting_id

        facts = %i[sitting staff].map { |role| state(order, role) }
        return !Core::Access.turned_out?(order.by, *facts) if order.outside

        Core::Access::InClass.new(order.by, *facts, state(order, :own)).reads?(order.stream)
      end

      def state(order, role) = copy(order.concern.name(role)).state

      def take(copy, entry)
        copy.take(entry)
        @published.call(entry)
      end
    end
  end
end
