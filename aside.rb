# frozen_string_literal: true

# The process beside a server that does what takes a while, see Veranda::Aside. Speaks over its standard input,
# a socket, and ends when that does. Loads what it is asked for and no more: somebody waits for its first answer, and all of Veranda
# takes four times as long and twice the memory.
require_relative 'config/environment'
require 'socket'

socket = UNIXSocket.for_fd(0)
tasks = Veranda::Aside::Tasks.new(
  Veranda::Store::Archive.new(Veranda::Store::Database.connect(Veranda::Environment.database_url, connections: 2),
                              files: Veranda::Environment.files),
  video_sites: Veranda::Environment.video_sites
)
while (name, arguments = Veranda::Aside::Message.read(socket))
  Veranda::Aside::Message.write(socket, tasks.call(name, arguments))
end
