# frozen_string_literal: true

module Bench
  # A lecture: 1,000 people connected to one class, 40 durable messages a second to all of them; beside it the same on a bare relay.
  class Lecture < Fanout
    PEOPLE = 1_000
    RATE = 40

    def run
      bare = relayed(people: PEOPLE, rate: RATE)
      lecture = live(PEOPLE, rate: RATE, messages: 'durable')
      Report.line('lecture, lost', lecture[:lost], 'messages', target: '0')
      Report.line('lecture, seen p50', lecture[:p50], 'ms', baseline: bare[:p50])
      Report.line('lecture, seen p99', lecture[:p99], 'ms', baseline: bare[:p99], target: '≤ 100')
    end
  end
end
