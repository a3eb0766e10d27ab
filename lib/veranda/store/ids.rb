# frozen_string_literal: true

require 'openssl'
require 'securerandom'

module Veranda
  module Store
    # New ids: 16 consonants and digits, about 90 bits. Without vowels none of them spells a word or a name, which somebody may look for in
    # whatever it stands in.
    module Ids
      LENGTH = 16
      CHARS = [*'0'..'9', *'A'..'Z', *'a'..'z'].grep_v(/[aeiouy]/i).freeze
      private_constant :LENGTH, :CHARS

      # @param what [String] what it is the id of
      # @return [String] always the same for the same: what is made twice is made once
      def self.of(what)
        OpenSSL::Digest::SHA256.hexdigest(what).hex.digits(CHARS.length).first(LENGTH).map { |digit| CHARS[digit] }.join
      end

      def self.call = Array.new(LENGTH) { CHARS.sample(random: SecureRandom) }.join
    end
  end
end
