# frozen_string_literal: true

module Veranda
  module Http
    # Tells whether whoever made a request has hung up. Nothing reads from their connection while an answer is being made, so it is
    # looked at without taking anything.
    module Departure
      module_function

      # @param env [Hash] of the request
      # @return [Proc] answers with true once they are gone
      def of(env)
        connection = env['protocol.http.request']&.connection
        io = connection.respond_to?(:stream) ? connection.stream&.io : nil
        io ? -> { gone?(io) } : -> { false }
      end

      def gone?(io)
        io.closed? || io.to_io.recv_nonblock(1, Socket::MSG_PEEK, exception: false).then { |seen| seen.nil? || seen == '' }
      rescue SystemCallError, IOError
        true
      end
      private_class_method :gone?
    end
  end
end
