# frozen_string_literal: true

module Bench
  # Looking for words in 200 recordings of 90 minutes, beside the same question without an index, and how long one takes to be read.
  class Search < Measure
    RECORDINGS = 200
    # In one of them: a post or a line of captions every four seconds, and what is on boards.
    PLACES = 1_500
    TRIES = 40
    WORDS = %w[tide bearing starboard vessel fairway light fog signal course buoy chart depth range anchor wind current crossing narrow channel rule
               give way stand on overtaking restricted visibility lookout speed mast sternlight sector compass variation deviation].freeze

    def run
      ids = Array.new(RECORDINGS) { |i| recording(i) }
      @archive.db.run('ANALYZE recorded_words')
      rng = Random.new(9)
      sought = Array.new(TRIES) { |i| i.even? ? WORDS.sample(2, random: rng).join(' ') : "word#{rng.rand(RECORDINGS * PLACES)}" }
      indexed = sought.map { |text| elapsed { @archive.recorded_words.find(ids, text) } }
      Report.line("search of #{RECORDINGS} recordings, p95", Report.percentile(indexed, 0.95), 'ms', baseline: Report.percentile(scanned(ids, sought), 0.95),
                                                                                                     target: '≤ 200')
      read
    end

    private

    def recording(number)
      id = "search#{number}"
      rng = Random.new(number)
      @archive.db[:sittings].insert(id: id, lesson_id: lesson)
      rows = Array.new(PLACES) do |i|
        { at: i * 4_000, kind: 'caption', words: "#{WORDS.sample(9, random: rng).join(' ')} word#{number * PLACES + i}" }
      end
      @archive.recorded_words.keep(id, 0, rows)
      id
    end

    def lesson = @lesson ||= @archive.lessons.create(course_id: 'navigation', title: 'Searched', minutes: 90, starts_at: Time.now, steps: [])

    def scanned(ids, sought)
      @archive.db.transaction do
        %w[enable_bitmapscan enable_indexscan enable_indexonlyscan].each { |way| @archive.db.run("SET LOCAL #{way} = off") }
        sought.map { |text| elapsed { @archive.recorded_words.find(ids, text) } }
      end
    end

    # One class of 90 minutes, from its log.
    def read
      klass = BusyClass.new(@archive, began: BusyClass.now)
      klass.live_through(10_000, 90)
      klass.finish
      tasks = Veranda::Aside::Tasks.new(@archive)
      Report.line('search, reading one of 90 minutes', elapsed { tasks.search_recordings(sittings: [klass.sitting], text: 'way') }, 'ms')
    end
  end
end
