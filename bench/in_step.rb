# frozen_string_literal: true

module Bench
  # How far a clip is off in five browsers, from where the class is by the server's clock and from one another.
  class InStep
    BROWSERS = 5
    SECONDS = 8
    LIMIT = 60

    # Where the clip stands and at what time of day, ten times a second.
    SAMPLED = <<~JS
      window.samples = [];
      setInterval(() => {
        const clip = document.querySelector('[data-testid=clip]');
        if (clip && !clip.paused && !clip.seeking) window.samples.push([Date.now(), clip.currentTime * 1000]);
      }, 100);
    JS

    # @param archive [Veranda::Store::Archive]
    # @param address [String] of the server
    # @param klass [BusyClass]
    # @param cookies [Array<String>] of so many people in it
    def initialize(archive, address, klass, cookies)
      @archive = archive
      @address = address
      @klass = klass
      @cookies = cookies
    end

    def run
      drivers = @cookies.map { |cookie| come(cookie) }
      clip = put_on
      sleep 4
      drivers.each { |driver| driver.execute_script(SAMPLED) }
      sleep SECONDS
      samples = drivers.map { |driver| driver.execute_script('return window.samples') }
      off = samples.map { |rows| rows.map { |now, at| at - Veranda::Core::Sittings::Clip.position(clip, now) } }
      Report.line("stage, a clip off in #{BROWSERS} browsers, p95", Report.percentile(off.flatten.map(&:abs), 0.95), 'ms', target: '≤ 100')
      middles = off.map { |rows| Report.percentile(rows, 0.5) }
      Report.line('stage, the clip, first to last', middles.max - middles.min, 'ms')
    ensure
      drivers&.each(&:quit)
    end

    private

    def come(cookie)
      Browser.open(@address, cookie).tap do |driver|
        driver.get("#{@address}/classes/#{@klass.sitting}")
        (LIMIT * 5).times { driver.find_elements(css: '[aria-label=Bench]').any? ? break : sleep(0.2) }
        # Browsers let a page be heard once something in it was pressed.
        driver.find_element(css: 'h1').click
      end
    end

    # @return [Hash] as the class has it
    def put_on
      facts = { material: ready, version: 1, kind: 'clip', title: 'A light at sea', length: 6_000 }
      by = Veranda::Core::Person.new(id: 'odalys', name: 'Odalys Brandt', role: 'instructor')
      place = "place/#{@klass.sitting}.main"
      perform = lambda do |name, input|
        Veranda::Deciding::Perform.call(@archive.log, name, input, stream: place, by: by, at: BusyClass.now, sitting: @klass.sitting)
      end
      perform.call('class.put_on_clip', facts)
      # Again and again, so that it lasts.
      perform.call('class.set_clip', { material: facts[:material], loop: [0, 5_500], at: 0 })
      @archive.log.state(place).first.clip
    end

    def ready
      (LIMIT * 5).times do
        found = @archive.materials.of_course('navigation').find { |row| row[:kind] == 'clip' && row[:state] == 'ready' }
        return found[:id] if found

        sleep 0.2
      end
      raise 'No clip is ready.'
    end
  end
end
