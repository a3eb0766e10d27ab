# frozen_string_literal: true

require_relative '../config/environment'
Zeitwerk::Loader.eager_load_all
%w[server wire visitor_client media worker].each { |part| require_relative "../spec/support/#{part}" }
%w[school hands sign_ins materials/pptx].each { |part| require_relative "../demo/#{part}" }
%w[report browser crowd measure busy_class fanout join seek board convert quiet processes page lecture doors deal rooms polls forwarding
   seen in_step beeps stage search polite export drift ready calendar].each { |part| require_relative part }

ALL = { 'fanout' => Bench::Fanout, 'join' => Bench::Join, 'seek' => Bench::Seek, 'board' => Bench::Board,
        'convert' => Bench::Convert, 'quiet' => Bench::Quiet, 'processes' => Bench::Processes, 'page' => Bench::Page,
        'lecture' => Bench::Lecture, 'doors' => Bench::Doors, 'deal' => Bench::Deal, 'rooms' => Bench::Rooms,
        'polls' => Bench::Polls, 'stage' => Bench::Stage, 'search' => Bench::Search, 'export' => Bench::Export, 'ready' => Bench::Ready,
        'calendar' => Bench::Calendar }.freeze

# The clients of the specs, which measures borrow, know it by this name.
ARCHIVE = Veranda::Store::Archive.new(Veranda::Store::Database.connect(Veranda::Environment.database_url, connections: 4),
                                      files: Veranda::Environment.files)
# What must follow entries is carried out by workers, as bin/start has them.
Worker.shared
begin
  (ARGV.empty? ? ALL.keys : ARGV).each do |name|
    measure = ALL[name] or abort "There is no measure #{name}; there are #{ALL.keys.join(', ')}."
    measure.new(ARCHIVE, Server).run
  end
ensure
  Server.stop_all
  Worker.stop
end
