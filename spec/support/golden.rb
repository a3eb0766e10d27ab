# frozen_string_literal: true

require 'fileutils'
require 'json'

# Known answers that Ruby and TypeScript must both give: what both compute is written down here once, in `spec/golden/`. RSpec
# checks that the core still says so, Vitest (`web/src/golden.test.ts`) that the browser does. After a change that is meant,
# `GOLDEN=write bundle exec rspec spec/core/golden_spec.rb` writes them anew.
module Golden
  FOLDER = File.expand_path('../golden', __dir__)

  module_function

  # @param name [String]
  # @param cases [Array<Object>]
  # @param folder [String]
  # @return [Array<Object>] what is written down
  def cases(name, cases, folder: FOLDER)
    path = File.join(folder, "#{name}.json")
    if ENV['GOLDEN'] == 'write'
      FileUtils.mkdir_p(folder)
      File.write(path, "[\n#{cases.map { |one| JSON.generate(one) }.join(",\n")}\n]\n")
    end
    JSON.parse(File.read(path), symbolize_names: true)
  end
end
