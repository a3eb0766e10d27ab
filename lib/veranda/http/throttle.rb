# frozen_string_literal: true

module Veranda
  module Http
    # Slows down whoever tries too often from one address: signing in, and opening links.
    # Limits leave room for a whole class behind one address.
    class Throttle
      # Path, requests per second in the long run, and burst.
      LIMITS = [
        [%r{\A/auth/login\z}, 0.2, 12],
        [%r{\A/api/links/}, 2, 150],
        [%r{\A/api/materials/}, 20, 200],
        [%r{\A/api/}, 40, 400]
      ].freeze
      FORGET_OVER = 10_000

      def initialize(app, limits: LIMITS)
        @app = app
        @limits = limits
        @rates = {}
      end

      def call(env)
        pattern, per_second, burst = @limits.find { |path, *| path.match?(env['PATH_INFO']) }
        return @app.call(env) unless pattern && state_changing?(env, pattern)

        rate(env['REMOTE_ADDR'], pattern, per_second, burst).take ? @app.call(env) : too_fast
      end

      private

      # Reading is cheap and frequent; only the last, general limit counts it.
      def state_changing?(env, pattern) = env['REQUEST_METHOD'] != 'GET' || pattern.equal?(@limits.last.first)

      def rate(address, pattern, per_second, burst)
        @rates.shift if @rates.length > FORGET_OVER
        @rates[[address, pattern]] ||= Live::Rate.new(per_second, burst: burst)
      end

      def too_fast
        says = 'That was tried too often. Wait a minute and try again.'
        [429, { 'content-type' => 'application/json', 'retry-after' => '60' }, [JSON.generate(code: :too_fast, says: says)]]
      end
    end
  end
end
