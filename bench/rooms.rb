# frozen_string_literal: true

module Bench
  # Sixty people go to fifteen rooms and draw there, ten marks a second in each; beside it the same people drawing as much in one big class.
  class Rooms < Fanout
    PEOPLE = 60
    ROOMS = 15
    RATE = ROOMS * 10
    SECONDS = 8

    def run
      whole = live(PEOPLE, rate: RATE, messages: 'durable')
      rooms = in_rooms
      Report.line('rooms, in with their board', rooms[:arrived], 'people', target: PEOPLE.to_s)
      Report.line('rooms, in with their board, p95', rooms[:open95], 'ms', target: '≤ 2,000')
      Report.line('rooms, deliveries', rooms[:perSecond], 'per s', baseline: whole[:perSecond] * ROOMS.fdiv(ROOMS * ROOMS))
      Report.line('rooms, seen by others p50', rooms[:p50], 'ms', baseline: whole[:p50])
      Report.line('rooms, seen by others p99', rooms[:p99], 'ms', baseline: whole[:p99], target: '≤ 1.2× one class')
      Report.line('rooms, lost', rooms[:lost], 'messages', target: '0')
    end

    private

    def in_rooms
      server = @server.new
      klass = BusyClass.open(@archive)
      cookies = @crowd.cookies(PEOPLE, klass.lesson)
      activity = dealt(klass, PEOPLE)
      @crowd.run(script: 'rooms.cjs', url: "ws://127.0.0.1:#{server.port}/live", origin: server.address, cookies: cookies,
                 staff: @crowd.cookie('odalys'), hello: { t: 'hello', v: Veranda::Live::Protocol::VERSION, sitting: klass.sitting },
                 open: "/api/classes/#{klass.sitting}/rooms/#{activity}/open", rate: RATE, seconds: SECONDS)
    ensure
      server&.stop
    end

    # The crowd is dealt before it comes, so that all go as they are.
    def dealt(klass, people)
      ids = @archive.people.guests(klass.lesson).map { |guest| guest[:id] }.last(people)
      groups = ids.each_slice(PEOPLE / ROOMS).with_index.map { |some, i| { id: Veranda::Store::Ids.call, name: "Room #{i + 1}", people: some } }
      Veranda::Deciding::Perform.call(@archive.log, 'rooms.deal',
                                      { id: 'bench', name: 'Bench', step: nil, plan: { by: 'rooms', number: ROOMS }, seed: 1, again: 0, bound: 0,
                                        says: [], rooms: groups }, stream: "staff/#{klass.sitting}")
      'bench'
    end
  end
end
