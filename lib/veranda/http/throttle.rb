# frozen_string_literal: true

module Veranda
  module Http
    # Slows down whoever asks too often: a person who is known by what they do themselves, and all who come from one address together
    # generously, since a whole school may be behind it. Signing in to one account is counted strictly, from wherever.
    class Throttle
      # Path; how often one person and how often one address may ask: requests per second in the long run, and burst. What is dialled all
      # comes from one exchange.
      LIMITS = [
        [%r{\A/auth/login\z}, [3, 150], [10, 600]],
        [%r{\A/api/links/}, [2, 60], [20, 1_000]],
        [%r{\A/api/telephone\z}, [0.5, 30], [0.5, 30]],
        [%r{\A/api/materials/}, [20, 200], [100, 2_000]],
        [%r{\A/api/}, [40, 400], [400, 8_000]]
      ].freeze
      # Tries to sign in to one account from one address, and from all of them together: a stranger's tries must not keep
      # its owner out.
      ACCOUNT = { from_one: [0.1, 12], from_all: [0.5, 60] }.freeze
      # Rates that are kept; those unused for longest are forgotten first.
      MOST = 10_000

      # @param app [#call] behind the sessions
      # @param clock [#call] seconds, monotonic
      def initialize(app, limits: LIMITS, clock: -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) })
        @app = app
        @limits = limits
        @clock = clock
        @rates = Core::Recent.new(MOST)
        @accounts = Tries.new(**ACCOUNT, clock: clock)
      end

      def call(env)
        limit = @limits.find { |path, *| path.match?(env['PATH_INFO']) }
        return @app.call(env) unless limit && counts?(env, limit)

        calm?(env, *limit) && account?(env) ? @app.call(env) : too_fast
      end

      private

      # Reading is cheap and frequent; only the last, general limit counts it.
      def counts?(env, limit) = env['REQUEST_METHOD'] != 'GET' || limit.equal?(@limits.last)

      # What one person may not ask any more is not counted against those around them.
      def calm?(env, path, by_person, by_address)
        person = person(env)
        return false unless person.nil? || rate([person, path], *by_person).take

        rate([Address.network(env['REMOTE_ADDR']), path], *by_address).take
      end

      # Nobody but us writes what is in a session.
      def person(env)
        session = env['rack.session'] or return
        session['account_id'] || session['person_id']
      end

      def account?(env)
        account = env.dig('veranda.form', 'email') or return true
        @accounts.take?(account.strip.downcase[0, 200], env['REMOTE_ADDR'])
      end

      def rate(key, per_second, burst) = @rates.fetch(key) { Live::Rate.new(per_second, burst: burst, clock: @clock) }

      def too_fast
        says = 'That was tried too often. Wait a minute and try again.'
        [429, { 'content-type' => 'application/json', 'retry-after' => '60' }, [JSON.generate(code: :too_fast, says: says)]]
      end
    end
  end
end
