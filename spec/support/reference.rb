# frozen_string_literal: true

require 'digest'
require_relative 'golden'

# What the core made of a great many inputs when it was last looked through, in `spec/reference/`. A change there is either
# meant, and then `GOLDEN=write bundle exec rspec spec/core/reference` writes it down for whoever reads the commit; or it is not.
module Reference
  FOLDER = File.expand_path('../reference', __dir__)
  PLAIN = [String, Symbol, Numeric, TrueClass, FalseClass, NilClass, Range].freeze

  # @param name [String] of the file
  # @param found [Array] a row of it each
  def expect_reference(name, found)
    found = JSON.parse(JSON.generate(found), symbolize_names: true)
    expect(found.length).to be > 5
    expect(found).to eq(Golden.cases(name, found, folder: FOLDER))
  end

  # @return [String] stands for a value too long to write down
  def digest(value) = Digest::SHA256.hexdigest(value.is_a?(String) ? value : JSON.generate(value))[0, 12]

  # Whether a table can be written down: one of procs or classes is inspected differently from run to run.
  def plain?(value)
    case value
    when Hash then value.all? { |pair| plain?(pair) }
    when Array then value.all? { |one| plain?(one) }
    else PLAIN.any? { |kind| value.is_a?(kind) }
    end
  end
end
