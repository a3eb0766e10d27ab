# frozen_string_literal: true

require 'net/http'
require 'tmpdir'

module Bench
  # The longest time for which a server process does nothing else, while sixty people draw, one saves a board as PDF over and over,
  # one brings lessons as zips, one looks for boards and one goes back and forth in a recording. The server tells it of itself,
  # see `Veranda::Live::Pace`.
  class Quiet < Measure
    SECONDS = 12
    PEOPLE = 60

    def run
      server = @server.new
      klass = BusyClass.open(@archive)
      calm = drawing(server, klass)
      done = Hash.new(0)
      stop = false
      busy = errands(server, klass).map { |name, errand| Thread.new { errand.call && done[name] += 1 until stop } }
      loud = drawing(server, klass)
      stop = true
      busy.each(&:join)
      report(calm, loud, done)
    ensure
      server&.stop
    end

    private

    # @return [Hash] the worst figures that the server told meanwhile
    def drawing(server, klass)
      before = server.pace.length
      @crowd.run(url: "ws://127.0.0.1:#{server.port}/live", origin: server.address, cookies: @crowd.cookies(PEOPLE, klass.lesson),
                 hello: { t: 'hello', v: Veranda::Live::Protocol::VERSION, sitting: klass.sitting }, messages: 'durable',
                 stream: klass.board, rate: 300, seconds: SECONDS)
      # People coming in is another matter: the first line is theirs.
      told = server.pace.drop(before).select { |one| one['answered'].to_i > 300 }.drop(1)
      %w[p50 p99 pause].to_h { |figure| [figure.to_sym, told.map { |one| one[figure] }.max || 0] }
    end

    # @return [Hash{String => #call}] what goes on beside the class
    def errands(server, klass)
      odalys, tomas = %w[odalys tomas].map { |who| VisitorClient.new(server, as: who) }
      zip = saved(odalys)
      { 'exports' => -> { odalys.get("/api/boards/#{klass.board.delete_prefix('board/')}.pdf").status == 200 },
        'imports' => -> { tomas.upload(zip, purpose: 'lesson').status == 200 },
        'searches' => -> { VisitorClient.new(server, as: 'odalys').get('/api/boards?search=light').status == 200 },
        'seeks' => -> { tomas.get("/api/recordings/tide-class/at?t=#{rand(5_000_000)}").status == 200 } }
    end

    def saved(visitor)
      File.join(Dir.mktmpdir, 'lesson.zip').tap { |path| File.binwrite(path, visitor.get('/api/lessons/rules.zip').headers.body) }
    end

    def report(calm, loud, done)
      Report.line('quiet, longest pause', loud[:pause], 'ms', baseline: calm[:pause], target: '≤ 25')
      Report.line('quiet, drawing answered p50', loud[:p50], 'ms', baseline: calm[:p50])
      Report.line('quiet, drawing answered p99', loud[:p99], 'ms', baseline: calm[:p99])
      done.each { |name, count| Report.line("quiet, #{name} meanwhile", count, '') }
    end
  end
end
