# frozen_string_literal: true

# Runs the media server until it is told to stop, with a configuration of its own that is made anew each time; brings it back
# when it dies.
#   ruby lib/setup/stage.rb FOLDER      prints "ready" once it answers; FOLDER/stage.json tells how to reach it
#   MEDIA_ADDRESS=… where browsers send sound and picture to; by default an address of our own, else the machine's

require_relative 'stage/address'
require_relative 'stage/configuration'
require_relative 'stage/keeper'

folder = File.expand_path(ARGV.fetch(0) { abort 'Say in which folder.' })
address = Setup::Stage::Address.find(ENV.fetch('MEDIA_ADDRESS', nil))
keeper = Setup::Stage::Keeper.new(Setup::Stage::Configuration.new(folder, address))
trap('TERM') { keeper.stop }
trap('INT') { keeper.stop }
keeper.run do
  puts 'ready'
  $stdout.flush
end
