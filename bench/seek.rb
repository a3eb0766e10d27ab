# frozen_string_literal: true

module Bench
  # Going to any point of a recording of three hours with 20,000 entries, as the player does it:
  # the state at that moment and the entries of the two minutes after, asked for together.
  class Seek < Measure
    ENTRIES = 20_000
    MINUTES = 180
    TRIES = 80

    def run
      klass = BusyClass.new(@archive, began: BusyClass.now)
      klass.live_through(ENTRIES, MINUTES)
      klass.finish
      @archive.recordings.update(klass.sitting, shared: true)
      server = @server.new
      plain = measure(server, klass)
      Report.line('seek p50', Report.percentile(plain, 0.5), 'ms')
      Report.line('seek p95', Report.percentile(plain, 0.95), 'ms', target: '≤ 200')
      edit(klass)
      edited = measure(server, klass)
      Report.line('seek p95, edited', Report.percentile(edited, 0.95), 'ms', baseline: Report.percentile(plain, 0.95), target: '≤ 200')
    ensure
      server&.stop
    end

    private

    # Names hidden, somebody left out, and five cuts: what costs most.
    def edit(klass)
      by = Veranda::Core::Person.new(id: 'odalys', name: 'Odalys Brandt', role: 'instructor')
      sitting = @archive.sittings.state(klass.sitting)
      act = lambda do |name, **input|
        Veranda::Deciding::Perform.call(@archive.log, "recording.#{name}", input, stream: "recording/#{klass.sitting}", by: by)
      end
      act.call('hide_names', on: true)
      act.call('leave_out', person: sitting.seats.values.reject(&:staff?).first.id, on: true)
      5.times do |i|
        from = sitting.opened_at + (i + 1) * 20 * BusyClass::MINUTE
        act.call('cut', id: "c#{i}", from: from, to: from + BusyClass::MINUTE)
      end
    end

    def measure(server, klass)
      cookie = @crowd.cookie('farah')
      length = (MINUTES - 6) * BusyClass::MINUTE
      rng = Random.new(3)
      Array.new(TRIES) do
        t = rng.rand(length)
        paths = ["at?t=#{t}", "entries?from=#{t}&to=#{t + 120_000}"]
        elapsed do
          paths.map do |path|
            Thread.new do
              fetch(server, "/api/recordings/#{klass.sitting}/#{path}", cookie)
            end
          end.each(&:join)
        end
      end
    end
  end
end
