# frozen_string_literal: true

# For all specs beyond the core's: a real PostgreSQL with the demo school in it, see bin/test.
require_relative '../config/environment'
require_relative 'core_helper'
Dir[File.join(__dir__, 'support/*.rb')].each { |file| require file }
%w[school drawing sign_ins].each { |part| require_relative "../demo/#{part}" }

Zeitwerk::Loader.eager_load_all
ARCHIVE = Veranda::Store::Archive.new(Veranda::Store::Database.connect(Veranda::Environment.database_url),
                                      files: Veranda::Environment.files)

RSpec.configure do |config|
  config.include Lessons
  config.include Patience
  config.before { @there = [Server, Wire].to_h { |kind| [kind, kind.all.dup] } }
  config.after do
    Wire.cut_since(@there[Wire])
    Server.stop_since(@there[Server])
  end
  config.before(:suite) { CarriedErrands.start }
  config.after(:suite) { [Server.method(:stop_all), Worker.method(:stop)].each(&:call) }
end
