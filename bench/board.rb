# frozen_string_literal: true

module Bench
  # A board of 1,500 marks under the hand: what the page's scripts take of each frame while one draws, moves a mark and pans.
  # Chromium itself counts the time; one move of the hand is sent for each frame.
  class Board < Measure
    MARKS = 1_500
    MOVES = 120

    def run
      server = @server.new
      lesson = prepared
      @driver = Browser.open(server.address, @crowd.cookie('odalys'))
      open_board("#{server.address}/lessons/#{lesson}")
      %w[draw move pan].each { |hand| report(hand, send(hand)) }
    ensure
      @driver&.quit
      server&.stop
    end

    private

    # Strokes, texts, shapes and notes all over one page.
    def prepared
      lesson = @archive.lessons.create(course_id: 'navigation', title: 'Many marks', minutes: 60, starts_at: Time.now + 3600,
                                       steps: [{ id: 'one', title: 'One', minutes: 60, shortest: 30, notes: '', board: 'many-marks' }])
      @archive.lessons.add_board(lesson, id: 'many-marks', name: 'Many marks')
      rng = Random.new(5)
      hands = Demo::Hands.new(@archive)
      Array.new(MARKS) { |i| mark(i, rng) }.each_slice(200) { |marks| hands.prepare('odalys', 'many-marks', marks, at: BusyClass.now) }
      lesson
    end

    def mark(index, rng)
      base = { id: "mark-#{index}", page: 'p1', x: rng.rand(1500), y: rng.rand(950), ink: Veranda::Core::Boards::Inks::NAMES.sample(random: rng) }
      case index % 5
      when 0 then base.merge(kind: 'text', text: "Sounding #{index}", size: 30, w: 200)
      when 1 then base.merge(kind: 'rectangle', w: 60, h: 40, width: 3)
      else base.merge(kind: 'stroke', width: 4, points: Array.new(30) { |i| [i * 5, (12 * Math.sin(i / 3.0 + index)).round(1)] }.flatten)
      end
    end

    def open_board(address)
      @driver.get(address)
      @driver.execute_cdp('Performance.enable', timeDomain: 'threadTicks')
      200.times { @driver.find_elements(css: '[data-mark]').length >= MARKS ? break : sleep(0.1) }
      box = @driver.find_element(css: '[data-testid=paper]').rect
      @x, @y = box.x + 120, box.y + 120
    end

    def draw
      key('1')
      hand('mousePressed', 0)
      frames { |i| hand('mouseMoved', i) }.tap { hand('mouseReleased', MOVES) }
    end

    def move
      key('v')
      sleep 1
      @driver.execute_script("document.querySelector('[data-mark=mark-1]').focus()")
      key(:enter)
      sleep 1
      box = @driver.find_element(css: '[data-frame]').rect
      @x, @y = box.x + box.width / 2, box.y + box.height / 2
      hand('mousePressed', 0)
      frames { |i| hand('mouseMoved', i) }.tap { hand('mouseReleased', MOVES) }
    end

    def pan
      frames do
        @driver.execute_cdp('Input.dispatchMouseEvent', type: 'mouseWheel', x: @x, y: @y, deltaX: 3, deltaY: 2)
      end
    end

    # @return [Array<Float>] ms of script for each move
    def frames
      (1..MOVES).map do |i|
        before = scripted
        yield i
        @driver.execute_async_script('const done = arguments[0]; requestAnimationFrame(() => requestAnimationFrame(() => done()))')
        scripted - before
      end
    end

    def scripted
      @driver.execute_cdp('Performance.getMetrics')['metrics'].find { |metric| metric['name'] == 'ScriptDuration' }['value'] * 1000
    end

    def hand(type, step)
      @driver.execute_cdp('Input.dispatchMouseEvent', type: type, x: @x + step * 3, y: @y + (20 * Math.sin(step / 6.0)).round, button: 'left', buttons: 1, clickCount: 1)
    end

    def key(text) = @driver.action.send_keys(text).perform

    def report(hand, times)
      Report.line("board, #{hand}, script per frame p95", Report.percentile(times, 0.95), 'ms', target: '≤ 8')
    end
  end
end
