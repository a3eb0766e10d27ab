# frozen_string_literal: true

# The process beside a server that gives stand-ins a voice and a picture, see Veranda::StandIns::Media. Told over its standard input, and
# ends when that does.
require_relative 'config/environment'
require 'fileutils'

folder = File.join(Veranda::Environment.var, 'stand-ins')
FileUtils.mkdir_p(folder)
Veranda::Workshop::Fonts.environment(folder)
font = Dir[File.join(folder, 'fonts', '*latin-wght-normal.ttf')].min
sender = Veranda::StandIns::Media::Sender.new(Veranda::StandIns::Media::Made.new(folder, font: font))
Thread.new { sender.run }
$stdin.each_line do |line|
  sender.hear(line)
rescue StandardError => e
  Console.warn(sender, 'A stand-in has neither voice nor picture', e)
end
