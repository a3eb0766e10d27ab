# frozen_string_literal: true

require 'tmpdir'

module Bench
  # A PPTX of 40 slides on its way to drawable pages, worked on by a worker process, while somebody draws in a class:
  # the live path is measured with and without it.
  class Convert < Measure
    SLIDES = 40
    COMMANDS = 150
    Visitor = Struct.new(:server, :cookie)
    private_constant :Visitor

    def run
      server = @server.new
      calm = drawing(server)
      id = bring
      first, all, busy = watch(server, id)
      Report.line('convert, first slide', first, 's', target: '≤ 5')
      Report.line("convert, all #{SLIDES} slides", all, 's', target: '≤ 20')
      Report.line('convert, drawing meanwhile p95', Report.percentile(busy, 0.95), 'ms', baseline: Report.percentile(calm, 0.95), target: 'live path not blocked')
    ensure
      server&.stop
    end

    private

    TABLE = [%w[Leg Tide Time], ['1', 'with, 0.8', '32 min']].freeze
    private_constant :TABLE

    def slides
      (1..SLIDES).map do |i|
        lines = Array.new(5) { |line| "Line #{line + 1} of slide #{i}: keep to starboard of the fairway" }
        { title: "Slide #{i}" }.merge((i % 5).zero? ? { table: TABLE } : { lines: lines })
      end
    end

    def bring
      Dir.mktmpdir do |dir|
        path = Demo::Pptx.new(slides).write(File.join(dir, 'forty.pptx'))
        upload = @archive.uploads.begin(course_id: 'navigation', person_id: 'odalys', name: 'forty.pptx', size: File.size(path))
        FileUtils.cp(path, @archive.files.upload_path(upload[:id]))
        @archive.materials.take(upload, type: Veranda::Workshop::Sniff.type(path, 'forty.pptx'), kind: 'document').first
      end
    end

    # @return [Array(Float, Float, Array<Float>)] s until the first and the last slide, and answers to drawing meanwhile
    def watch(server, id)
      began = now
      first = nil
      busy = []
      loop do
        busy.concat(drawing(server, 10))
        first ||= now - began if @archive.db[:material_slides].where(material_id: id).any?
        state = @archive.materials.version(id, 1)[:state]
        return [first, now - began, busy] if state == 'ready'
        raise "the deck could not be converted: #{state}" if state == 'failed' || now - began > 120
      end
    end

    # @return [Array<Float>] ms from a stroke to its answer
    def drawing(server, count = COMMANDS)
      open = wire(server)
      Array.new(count) do
        at = now
        answer = open.do('board.put', "board/#{@board}",
                         marks: [{ id: Veranda::Store::Ids.call, page: 'p1', kind: 'stroke', x: 10, y: 10, ink: 'lake', width: 4, points: [0, 0, 30, 5, 60, -5] }])
        raise answer.to_s unless answer['t'] == 'done'

        sleep 0.03 # as fast as a busy hand, and below what a person may
        (now - at - 0.03) * 1000
      end
    end

    def wire(server)
      @wire ||= begin
        lesson = @archive.lessons.create(course_id: 'navigation', title: 'Meanwhile', minutes: 60, starts_at: Time.now + 3600)
        @board = @archive.lessons.add_board(lesson, name: 'Meanwhile')
        Wire.new(Visitor.new(server, @crowd.cookie('odalys'))).tap { |wire| wire.hello({ lesson: lesson }) }
      end
    end

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  end
end
