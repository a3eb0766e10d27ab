# frozen_string_literal: true

require 'securerandom'

module Veranda
  module Store
    # New ids: 16 letters and digits, about 95 bits.
    module Ids
      def self.call = SecureRandom.alphanumeric(16)
    end
  end
end
