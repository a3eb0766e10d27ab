# frozen_string_literal: true

module Veranda
  module Http
    # Slows down whoever tries too often: signing in and opening links by address, generously, since a whole school may be behind
    # one; and signing in to one account strictly, from wherever.
    class Throttle
      # Path, requests per second in the long run, and burst.
      LIMITS = [
        [%r{\A/auth/login\z}, 3, 150],
        [%r{\A/api/links/}, 2, 150],
        [%r{\A/api/telephone\z}, 0.5, 30],
        [%r{\A/api/materials/}, 20, 200],
        [%r{\A/api/}, 40, 400]
      ].freeze
      # Tries to sign in to one account from one address, and from all of them together: a stranger's tries must not keep
      # its owner out.
      ACCOUNT = { from_one: [0.1, 12], from_all: [0.5, 60] }.freeze
      FORGET_OVER = 10_000

      # @param clock [#call] seconds, monotonic
      def initialize(app, limits: LIMITS, clock: -> { Process.clock_gettime(Process::CLOCK_MONOTONIC) })
        @app = app
        @limits = limits
        @clock = clock
        @rates = {}
        @accounts = Tries.new(**ACCOUNT, clock: clock)
      end

      def call(env)
        pattern, per_second, burst = @limits.find { |path, *| path.match?(env['PATH_INFO']) }
        return @app.call(env) unless pattern && state_changing?(env, pattern)

        calm = rate([env['REMOTE_ADDR'], pattern], per_second, burst).take && account?(env)
        calm ? @app.call(env) : too_fast
      end

      private

      # Reading is cheap and frequent; only the last, general limit counts it.
      def state_changing?(env, pattern) = env['REQUEST_METHOD'] != 'GET' || pattern.equal?(@limits.last.first)

      def account?(env)
        account = env.dig('veranda.form', 'email') or return true
        @accounts.take?(account.strip.downcase[0, 200], env['REMOTE_ADDR'])
      end

      # The longest unused goes first.
      def rate(key, per_second, burst)
        known = @rates.delete(key) || Live::Rate.new(per_second, burst: burst, clock: @clock)
        @rates.shift if @rates.length > FORGET_OVER
        @rates[key] = known
      end

      def too_fast
        says = 'That was tried too often. Wait a minute and try again.'
        [429, { 'content-type' => 'application/json', 'retry-after' => '60' }, [JSON.generate(code: :too_fast, says: says)]]
      end
    end
  end
end
