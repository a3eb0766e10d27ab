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
        io = socket(env)
        io ? -> { gone?(io) } : -> { false }
      end

      # @return [BasicSocket, nil] what a request came by
      def socket(env)
        connection = env['protocol.http.request']&.connection
        connection.stream&.io&.to_io if connection.respond_to?(:stream)
      end

      def gone?(io)
        io.closed? || io.recv_nonblock(1, Socket::MSG_PEEK, exception: false).then { |seen| seen.nil? || seen == '' }
      rescue SystemCallError, IOError
        true
      end
      private_class_method :gone?
    end
  end
end
