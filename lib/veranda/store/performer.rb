# frozen_string_literal: true

module Veranda
  module Store
    # Carries out orders: locks their streams, reads what other processes added, lets the core
    # decide one after the other, and stores all new entries in one commit.
    #
    #   performer = Performer.new(log) { |entry| publish(entry) }
    #   performer.perform([order, order], at: now) #=> [Outcome, Outcome]
    #
    # Entries reach the block in the order of their stream, each once, and only after they
    # are committed, whichever process added them. One performer serves one caller at a time.
    class Performer
      # Entries after which a stream gets a fresh snapshot; more when its state is large (a
      # quarter of its parts), since everyone waits while one is written.
      SNAPSHOT_EVERY = 200

      # @param log [Log]
      # @param rng [Random]
      def initialize(log, rng: Random.new, &published)
        @log = log
        @rng = rng
        @published = published || proc {}
        @copies = {}
        @told = {}
      end

      # @param name [String]
      # @return [StreamCopy] up to date as far as this process has heard
      def copy(name) = @copies[name] ||= load(name)

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
      # @raise [Sequel::DatabaseError] when nothing was stored; the orders can be performed again
      def perform(orders, at:)
        outcomes = commit(orders, at)
        outcomes.each { |outcome| tell(outcome.entry) if outcome.entry }
        keep_snapshots(orders)
        outcomes
      end

      # Lets go of a stream; it is read afresh when next needed.
      def forget(name)
        @copies.delete(name)
        @told.delete(name)
      end

      private

      def commit(orders, at)
        append(orders, at)
      rescue Sequel::UniqueConstraintViolation
        # Some order had been carried out before, unknown to us. Ask for all of them this time.
        raise if orders.all?(&:again)

        commit(orders.each { |order| order.again = true }, at)
      end

      def append(orders, at)
        outcomes = nil
        names = orders.flat_map(&:streams).uniq
        @log.append(names) do |heads|
          heads.each { |name, head| catch_up(name) if copy(name).seq < head }
          outcomes = decide_all(orders, at)
          outcomes.filter_map(&:entry)
        end
        outcomes
      rescue Sequel::DatabaseError => e
        # The copies hold what was decided in vain.
        names.each { |name| @copies.delete(name) }
        @log.disconnect if e.is_a?(Sequel::DatabaseDisconnectError)
        raise
      end

      def decide_all(orders, at)
        done = @log.known(orders.select(&:again).map { |order| [order.stream, order.id] })
        orders.map do |order|
          seq = done[[order.stream, order.id]]
          outcome = seq ? Outcome.new(order: order, seq: seq) : decide(order, at)
          # The same id twice in one batch counts once.
          done[[order.stream, order.id]] = outcome.seq if outcome.entry
          outcome
        end
      end

      def decide(order, at)
        copy = copy(order.stream)
        sitting = order.sitting && copy(order.sitting).state
        readable!(order, sitting)
        scene = Core::Scene.new(state: copy.state, sitting: sitting, by: order.by, at: at, rng: @rng, outside: order.outside,
                                earlier: ->(seq) { @log.state_after(order.stream, seq) })
        kind, body = order.command.new(order.input, scene).decide
        return Outcome.new(order: order, seq: copy.seq) unless kind

        entry = copy.add(kind, body, at: at, by: order.by, command_id: order.id)
        Outcome.new(order: order, entry: entry, seq: entry.seq)
      rescue Core::Refusal => e
        Outcome.new(order: order, refusal: e)
      end

      def readable!(order, sitting)
        return if sitting.nil? || order.stream == order.sitting
        return if Core::Streams::Audience.reads?(order.by, sitting, order.stream)

        raise Core::Refusal.new(:no_access, 'That board is not open to you.')
      end

      def take(copy, entry)
        copy.apply(entry)
        tell(entry)
      end

      def tell(entry)
        @told[entry.stream] = entry.seq
        @published.call(entry)
      end

      # A copy is dropped when a commit fails, because it holds what was decided in vain. What
      # others committed meanwhile is in the new copy but has not been published here yet.
      def load(name)
        copy = StreamCopy.load(name, @log)
        @log.entries(name, after: @told[name]).each { |entry| tell(entry) } if @told.key?(name)
        @told[name] ||= copy.seq
        copy
      end

      def keep_snapshots(orders)
        orders.map(&:stream).uniq.each do |name|
          copy = @copies[name]
          copy.keep(@log) if copy && copy.unkept >= [SNAPSHOT_EVERY, copy.state.size / 4].max
        end
      end
    end
  end
end
