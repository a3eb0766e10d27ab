# frozen_string_literal: true

module Veranda
  module Core
    module Rights
      # Whether someone has a right, with the reason in a code and a sentence.
      Answer = Struct.new(:allowed, :code, :says, keyword_init: true) do
        alias_method :allowed?, :allowed

        def self.yes(code) = new(allowed: true, code: code, says: nil)
        def self.no(code, says) = new(allowed: false, code: code, says: says)
      end
    end
  end
end
