# frozen_string_literal: true

module Veranda
  module Stage
    # What a browser offers to send, as SDP (RFC 8866). The media server reads it; here it is looked at for what nobody may send.
    module Offer
      # Bytes; of an answer, which has a part for each sound and picture one is sent.
      LONGEST = 20_000
      LONGEST_ANSWER = 56_000
      KINDS = %w[audio video].freeze
      LINE = /\A[a-z]=[^\r\n]*\z/

      module_function

      # @param sdp [String]
      # @return [String] the same
      # @raise [Core::Refusal] `bad_input`
      def check(sdp)
        kinds = sdp.scan(/^m=(\w*)/).flatten
        return plain!(sdp) if sdp.bytesize <= LONGEST && kinds.any? && (kinds - KINDS).empty? && kinds.uniq == kinds

        raise Core::Refusal.new(:bad_input, 'One sound and one picture can be sent, and nothing else.')
      end

      # @param sdp [String] an answer, which adds nothing to what it answers
      # @return [String] the same
      # @raise [Core::Refusal] `bad_input`
      def plain!(sdp)
        return sdp if sdp.bytesize <= LONGEST_ANSWER && sdp.start_with?('v=0') && sdp.split(/\r?\n/).all?(LINE)

        raise Core::Refusal.new(:bad_input, 'This is no description of a session.')
      end

      # @param sdp [String] what the media server answers
      # @param address [String] where it should be reached
      # @return [Boolean] whether it can be reached there, and nowhere else
      def at?(sdp, address)
        found = sdp.scan(/^a=candidate:\S+ \d+ \S+ \d+ (\S+) /).flatten.uniq
        found == [address]
      end

      MISPLACED = 'Sound and picture are set up wrongly on this server. Tell whoever runs it; the class goes on without them.'
      private_constant :MISPLACED

      # @return [String] the same
      # @raise [Core::Refusal] `stage_misplaced` unless {at?}
      def placed!(sdp, address) = at?(sdp, address) ? sdp : raise(Core::Refusal.new(:stage_misplaced, MISPLACED))
    end
  end
end
