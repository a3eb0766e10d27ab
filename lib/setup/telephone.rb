# frozen_string_literal: true

require_relative '../../config/environment'
require 'uri'
Zeitwerk::Loader.eager_load_all

address = URI(ARGV.fetch(0) { abort 'Give the address of a Veranda on this machine, and the code of a class.' })
code = ARGV.fetch(1) { abort 'Give the code of a class: those who teach see it at the doors.' }
abort 'Calls are put through on this machine only.' unless %w[127.0.0.1 localhost].include?(address.host)

made = Veranda::StandIns::Media::Made.new(File.join(Veranda::Environment.var, 'stand-ins'), font: nil)
Sync do |task|
  phone = Veranda::StandIns::Phone.new("http://#{address.host}:#{address.port}", Veranda::Environment.telephone_secret,
                                       voice: made.voice(2), says: ->(words) { puts words })
  keys = task.async { while (line = $stdin.gets) do phone.press(line.strip) end }
  phone.call(code)
  puts "The call is over. #{phone.heard.values.sum} packets of #{phone.heard.length} voices were heard."
ensure
  keys&.stop
end
