# frozen_string_literal: true

require 'securerandom'

module Veranda
  module Store
    # New ids: 16 consonants and digits, about 90 bits. Without vowels none of them spells a word or a name, which somebody may look for in
    # whatever it stands in.
    module Ids
      LENGTH = 16
      CHARS = [*'0'..'9', *'A'..'Z', *'a'..'z'].grep_v(/[aeiouy]/i).freeze
      private_constant :LENGTH, :CHARS

      def self.call = Array.new(LENGTH) { CHARS.sample(random: SecureRandom) }.join
    end
  end
end
