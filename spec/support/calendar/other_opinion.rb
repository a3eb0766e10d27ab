# frozen_string_literal: true

require 'open3'

# What others make of rules and agendas (the gems `rrule` and `icalendar`), in a process of their own: both load ActiveSupport, which
# changes half of Ruby.
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

  EVENTS = <<~RUBY
    require 'icalendar'
    require 'json'
    events = Icalendar::Calendar.parse($stdin.read.force_encoding('UTF-8')).flat_map(&:events)
    puts JSON.generate(events.map do |event|
      { uid: event.uid.to_s, summary: event.summary.to_s, from: event.dtstart.to_time.to_i, to: event.dtend.to_time.to_i,
        status: event.status.to_s, sequence: event.sequence.to_i, url: event.url.to_s }
    end)
  RUBY

  # @param agenda [String] iCalendar
  # @return [Array<Hash>] its events, with string keys
  def self.events(agenda) = run(EVENTS, agenda)

  # @param asked [Array(Array<Integer>, String, Integer)] first moment, rule, how many
  # @return [Array<Array<Integer>, nil>] s since the epoch; nil where it fails (for some counted days of weeks it does)
  def self.on(asked) = run(SCRIPT, JSON.generate(asked))

  def self.run(script, given)
    out, errors, status = Open3.capture3('bundle', 'exec', 'ruby', '-e', script, stdin_data: given)
    raise errors unless status.success?

    JSON.parse(out.lines.last)
  end
  private_class_method :run
end
