# frozen_string_literal: true

module Bench
  # Joining late: a class 90 minutes old with 4,000 entries.
  class Join < Measure
    ENTRIES = 4_000
    TRIES = 5

    def run
      server = @server.new
      klass = BusyClass.new(@archive, began: BusyClass.now - 90 * BusyClass::MINUTE)
      klass.live_through(ENTRIES, 90)
      sizes(klass)
      paints = Array.new(TRIES) { |i| paint(server, klass, report_script: i.zero?) }
      Report.line('join, first useful paint', Report.percentile(paints, 0.5), 'ms', target: '≤ 1,000')
    ensure
      server&.stop
    end

    private

    # The log as a client would get it entry by entry, against the views it gets instead.
    def sizes(klass)
      names = @archive.db[:entries].where(Sequel.like(:stream,
                                                      "%/#{klass.sitting}%")).or(stream: boards(klass)).distinct.select_map(:stream)
      log = names.sum { |name| @archive.log.entries(name).sum { |entry| Veranda::Live::Frames.entry(entry).bytesize } }
      views = names.sum { |name| JSON.generate(@archive.log.state(name).first.view).bytesize }
      Report.line('join, snapshot', views / 1024.0, 'kB', baseline: log / 1024.0, target: '≤ 0.1× the log')
    end

    def boards(klass) = @archive.lessons.boards(klass.lesson).map { |board| "board/#{board[:id]}" }

    # A browser with nothing in its cache goes to the class; useful is when marks and posts are there.
    def paint(server, klass, report_script:)
      driver = Browser.open(server.address, @crowd.cookies(1, klass.lesson).first)
      driver.execute_cdp('Page.addScriptToEvaluateOnNewDocument', source: WATCH)
      driver.get("#{server.address}/classes/#{klass.sitting}")
      useful = 200.times.lazy.filter_map { driver.execute_script('return window.usefulAt') || (sleep(0.05) && nil) }.first
      script_size(driver) if report_script
      useful
    ensure
      driver&.quit
    end

    def script_size(driver)
      bytes = driver.execute_script("return performance.getEntriesByType('resource').filter(e => e.name.endsWith('.js')).reduce((sum, e) => sum + e.encodedBodySize, 0)")
      Report.line('join, script (gzipped)', bytes / 1024.0, 'kB', target: '≤ 250')
    end

    WATCH = <<~JS
      const look = () => {
        if (document.querySelector('[data-mark]') && document.querySelector('[data-testid=post]')) {
          requestAnimationFrame(() => (window.usefulAt = performance.now()));
        } else requestAnimationFrame(look);
      };
      requestAnimationFrame(look);
    JS
    private_constant :WATCH
  end
end
