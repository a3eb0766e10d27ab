# frozen_string_literal: true

module Bench
  # The first minute: 300 people come within ten seconds to a class whose board has been drawn on, and then a rule is changed for all
  # of them. Beside it, the same people coming one after the other.
  class Doors < Measure
    PEOPLE = 300
    ALONE = 30
    FEW = 60
    WITHIN = 10

    def run
      few = arriving(ALONE, over: 15)
      many = arriving(PEOPLE, over: WITHIN)
      Report.line('doors, arrived', many[:arrived], 'people', target: PEOPLE.to_s)
      Report.line('doors, in with the board, p50', many[:p50], 'ms', baseline: few[:p50])
      Report.line('doors, in with the board, p95', many[:p95], 'ms', baseline: few[:p95], target: '≤ 2,000')
      Report.line('doors, told of a rule', many.dig(:rights, :told), 'people', target: PEOPLE.to_s)
      Report.line('doors, told of a rule, p95', many.dig(:rights, :p95), 'ms', baseline: few.dig(:rights, :p95), target: '≤ 250')
      handed_out
      full_boards
    end

    private

    # Every board of the class as full as it can be: each welcome is some megabytes.
    def full_boards
      full = arriving(FEW, over: WITHIN, full: true)
      Report.line('doors, full boards, in p50', full[:p50], 'ms')
      Report.line('doors, full boards, longest welcome', full[:worst], 'ms', target: '≤ 3,000')
      Report.line('doors, full boards, longest post of staff', full.dig(:posts, :worst), 'ms', target: '≤ 500')
      Report.line('doors, full boards, longest pause', full[:pause], 'ms', target: '≤ 25')
    end

    # With a board handed out, everybody gets a copy as they come.
    def handed_out
      school = arriving(PEOPLE, over: WITHIN, handed: true)
      Report.line('doors, handed out, copies', school[:copies], 'people', target: PEOPLE.to_s)
      Report.line('doors, handed out, longest welcome', school[:worst], 'ms', target: '≤ 3,000')
      Report.line('doors, handed out, longest post of staff', school.dig(:posts, :worst), 'ms', target: '≤ 500')
      Report.line('doors, handed out, frames', school[:frames], 'frames')
    end

    def arriving(people, over:, handed: false, full: false)
      server = @server.new
      klass = BusyClass.new(@archive, began: BusyClass.now - 5 * BusyClass::MINUTE)
      klass.fill_boards if full
      klass.live_through(400, 5)
      board = @archive.log.state("place/#{klass.sitting}.main").first.shown[:board]
      @crowd.run(script: 'arrivals.cjs', url: "ws://127.0.0.1:#{server.port}/live", origin: server.address, over: over,
                 cookies: @crowd.cookies(people, klass.lesson), staff: @crowd.cookie('odalys'),
                 hello: { t: 'hello', v: Veranda::Live::Protocol::VERSION, sitting: klass.sitting },
                 board: "board/#{board}", place: "place/#{klass.sitting}.main", sitting: klass.sitting, handed: handed)
            .merge(pause: server.pace.map { |one| one['pause'] }.max)
    ensure
      server&.stop
    end
  end
end
