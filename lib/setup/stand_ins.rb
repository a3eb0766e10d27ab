# frozen_string_literal: true

require_relative '../../config/environment'
require 'uri'
Zeitwerk::Loader.eager_load_all

link = URI(ARGV.fetch(0) { abort 'Give the link of a class: http://127.0.0.1:4600/enter/…' })
abort 'Stand-ins go to classes on this machine only.' unless %w[127.0.0.1 localhost].include?(link.host)
many, seconds, pace = [[ARGV[1], 8], [ARGV[2], 120], [ARGV[3], 6]].map { |given, otherwise| Integer(given || otherwise) }
abort 'From 1 to 300 stand-ins, please, and for an hour at most.' unless many.between?(1, 300) && seconds.between?(1, 3600)

address = "http://#{link.host}:#{link.port}"
Sync do |task|
  callers = Array.new(many) do |i|
    task.async do
      sleep(i * 0.05)
      name = "Stand-in #{i + 1}"
      Veranda::StandIns::Caller.new(address, link.path.split('/').last, name: name, rng: Random.new(i)).call(seconds: seconds,
                                                                                                             pace: [
                                                                                                               pace, 1
                                                                                                             ].max)
    end
  end
  callers.each(&:wait)
end
puts "#{many} stand-ins have left."
