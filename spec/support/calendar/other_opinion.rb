# frozen_string_literal: true

require 'open3'

# What the gem `rrule` makes of rules, in a process of its own: it loads ActiveSupport, which changes half of Ruby.
module OtherOpinion
  SCRIPT = <<~RUBY
    require 'logger'
    require 'rrule'
    require 'json'
    asked = JSON.parse($stdin.read)
    answers = asked.map do |start, rule, number|
      first = Time.utc(*start)
      RRule::Rule.new(rule, dtstart: first, tzid: 'UTC').all(limit: number).map(&:to_i)
    rescue TypeError
      nil
    end
    puts JSON.generate(answers)
  RUBY

  # @param asked [Array(Array<Integer>, String, Integer)] first moment, rule, how many
  # @return [Array<Array<Integer>, nil>] s since the epoch; nil where it fails (for some counted days of weeks it does)
  def self.on(asked)
    out, errors, status = Open3.capture3('bundle', 'exec', 'ruby', '-e', SCRIPT, stdin_data: JSON.generate(asked))
    raise errors unless status.success?

    JSON.parse(out.lines.last)
  end
end
