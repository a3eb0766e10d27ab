# frozen_string_literal: true

module Bench
  # What a page costs the device that shows it: time in scripts for each second, and memory, in a real browser.
  #
  #   idle      an instructor's class with 200 posts and 60 seats in which nothing happens
  #   drawing   the same while twenty people draw
  #   player    a recording with 1,000 marks and hundreds of posts, playing at triple speed
  #   slides    a class whose board has 40 pages and 4,000 marks, for every stroke that comes
  #   watching  what a player keeps in memory after an hour, two and three of a recording, its clock running twenty times as fast
  #   lasting   what a page keeps in memory after as many strokes, taken off again, as come in an hour, in two and in three
  class Page < Measure
    SECONDS = 8
    DRAWERS = 20
    # Strokes that come in an hour of a class in which somebody draws half of the time, every two and a half seconds.
    HOURLY = 720
    # The clock of a page that runs faster than the day, so that three hours at triple speed go by in minutes.
    FAST = 20
    HURRY = "const now = performance.now.bind(performance); performance.now = () => now() * #{FAST};".freeze

    def run
      @running = @server.new
      klass = BusyClass.new(@archive, began: BusyClass.now)
      klass.live_through(2_400, 20)
      in_class(klass)
      klass.finish
      @archive.recordings.update(klass.sitting, shared: true)
      playing(klass)
      slides
      lasting
      watching
    ensure
      @running&.stop
    end

    private

    def in_class(klass)
      seats = Array.new(46) { Wire.new(visitor(klass)) }
      seats.each { |wire| wire.hello({ sitting: klass.sitting }) }
      driver = open("/classes/#{klass.sitting}", '[data-testid=post]')
      cost('page, idle', driver, target: '≤ 10 ms/s')
      drawing(seats.first(DRAWERS), klass) { cost('page, twenty draw', driver, target: '≤ 120 ms/s') }
    ensure
      driver&.quit
      seats&.each(&:cut)
    end

    def playing(klass)
      driver = open("/recordings/#{klass.sitting}", '[role=slider]')
      play_fast(driver)
      sleep 2
      cost('page, player', driver, target: '≤ 60 ms/s')
    ensure
      driver&.quit
    end

    def slides
      klass = BusyClass.open(@archive)
      wire = Wire.new(visitor(klass))
      wire.hello({ sitting: klass.sitting })
      fill(klass.board)
      driver = open("/classes/#{klass.sitting}", 'nav[aria-label=Pages]')
      drawing([wire], klass) { |count| cost('page, 40 pages of marks', driver, each: count) }
    ensure
      driver&.quit
      wire&.cut
    end

    # The strokes of three hours in as many minutes as they need; what nobody needs any more has to be gone.
    def lasting
      klass = BusyClass.open(@archive)
      seats = Array.new(DRAWERS) { Wire.new(visitor(klass)).tap { |wire| wire.hello({ sitting: klass.sitting }) } }
      driver = open("/classes/#{klass.sitting}", '[data-testid=paper]')
      kept = Array.new(3) do
        drawing(seats, klass, taken_off: true) { |count| sleep 0.5 until count.call >= HOURLY }
        sleep 8
        kept(driver)
      end
      kept.each_with_index { |megabytes, i| report("page, memory after #{i + 1} h", megabytes, 'MB', '') }
      report('page, third hour beside the first', kept.last / kept.first, '×', '≤ 1.1×')
    ensure
      driver&.quit
      seats&.each(&:cut)
    end

    def watching
      klass = BusyClass.new(@archive, began: BusyClass.now)
      klass.live_through(9_000, 180)
      klass.finish
      driver = open("/recordings/#{klass.sitting}", '[role=slider]', script: HURRY)
      play_fast(driver)
      hours = [1, 2, 3].map do |hour|
        sleep 0.5 until time(driver) >= (hour * 3_600) - 60
        kept(driver).tap { |megabytes| report("player, memory after #{hour} h", megabytes, 'MB', '') }
      end
      report('player, third hour beside the first', hours.last / hours.first, '×', '≤ 1.1×')
    ensure
      driver&.quit
    end

    # @return [Float] MB
    def kept(driver)
      driver.execute_cdp('HeapProfiler.collectGarbage')
      figures(driver)['JSHeapUsedSize'] / (1024.0 * 1024)
    end

    # At triple speed.
    def play_fast(driver)
      speed = driver.find_element(css: '[title=Speed]')
      speed.click until speed.text.start_with?('3')
      driver.find_elements(css: 'button').find { |button| button.text == 'Play' }.click
    end

    # @return [Integer] s into the recording
    def time(driver)
      driver.find_element(css: '[data-testid=time] strong').text.split(':').reduce(0) { |sum, part| (sum * 60) + part.to_i }
    end

    def visitor(klass)
      person = @archive.people.add('Student').tap { |id| @archive.people.admit(klass.lesson, id) }
      VisitorClient.new(@running, as: person)
    end

    # Forty pages of slides, with a hundred marks each.
    def fill(stream)
      by = Veranda::Core::Person.new(id: 'odalys', name: 'Odalys Brandt', role: 'instructor')
      order = lambda do |name, input, id|
        Veranda::Deciding::Perform.call(@archive.log, name, input, stream: stream, by: by, at: BusyClass.now, sitting: nil, id: id)
      end
      slides = Array.new(40) { |i| { slide: i + 1, w: 4, h: 3 } }
      order.call('board.lay_slides', { material: 'deck', version: 1, slides: slides }, 'lay')
      pages = @archive.log.state(stream).first.pages
      pages.each_with_index do |page, i|
        marks = Array.new(100) do |j|
          { id: "p#{i}-#{j}", page: page, kind: 'stroke', ink: 'lake', width: 4, x: j * 14, y: j * 9, points: [0, 0, 30, 8, 60, 0] }
        end
        order.call('board.put', { marks: marks }, "fill#{i}")
      end
    end

    def open(path, awaited, script: nil)
      driver = Browser.open(@running.address, @crowd.cookie('odalys'))
      driver.execute_cdp('Page.addScriptToEvaluateOnNewDocument', source: script) if script
      driver.execute_cdp('Performance.enable')
      driver.get("#{@running.address}#{path}")
      200.times { driver.find_elements(css: awaited).any? ? break : sleep(0.1) }
      sleep 3
      driver
    end

    # Everyone draws a stroke of two seconds again and again: told 25 times a second while it is wet, then put.
    def drawing(wires, klass, taken_off: false)
      count = 0
      stop = false
      hands = wires.each_with_index.map do |wire, i|
        Thread.new do
          sleep i * 0.1
          until stop
            id = "w#{i}-#{Veranda::Store::Ids.call}"
            stroke(wire, klass.board, id)
            wire.do('board.remove', klass.board, ids: [id]) if taken_off
            count += 1
          end
        end
      end
      yield -> { count }
    ensure
      stop = true
      hands&.each(&:join)
    end

    def stroke(wire, board, id)
      mark = { id: id, page: 'p1', kind: 'stroke', ink: 'brick', width: 4, x: rand(1_400), y: rand(800) }
      points = Array.new(50) { |i| [i * 6, (Math.sin(i / 4.0) * 30).round] }.flatten
      points.each_slice(2).with_index do |pair, i|
        wire.say({ t: 'now', stream: board, kind: 'ink', body: { **mark, from: i * 2, points: pair } })
        sleep 0.04
      end
      wire.do('board.put', board, marks: [{ **mark, points: points, took: 2_000 }])
    end

    # @param each [#call, nil] how many things happened so far, to tell the cost of one
    def cost(name, driver, target: '', each: nil)
      before, seen = figures(driver), each&.call
      sleep SECONDS
      after = figures(driver)
      script = (after['ScriptDuration'] - before['ScriptDuration']) * 1000
      report(name, each ? script / [each.call - seen, 1].max : script / SECONDS, each ? 'ms each' : 'ms/s', target)
      report("#{name}, all work", (after['TaskDuration'] - before['TaskDuration']) * 1000 / SECONDS, 'ms/s', '')
      report("#{name}, memory", after['JSHeapUsedSize'] / (1024.0 * 1024), 'MB', '')
    end

    def report(name, value, unit, target) = Report.line(name, value, unit, target: target)

    def figures(driver)
      driver.execute_cdp('Performance.getMetrics')['metrics'].to_h { |metric| metric.values_at('name', 'value') }
    end
  end
end
