# frozen_string_literal: true

require 'fileutils'

module Bench
  # One film that is made beside a class in which sixty people draw: what the class notices of it, and how fast the film is made. Its work
  # rests every other moment, and what was sent meanwhile is held beside what was sent while it went on: a shared machine is faster at one
  # time than at another.
  class Polite < Fanout
    PEOPLE = 60
    # Strokes in a second: each person draws one.
    RATE = 60
    SECONDS = 80
    # s that the film is worked on, and rests; and s after a change that are counted to neither.
    TURN = 3
    BETWEEN = 0.25

    # @param plan [Hash] of a film, see {Veranda::Workshop::Film::Plan}, that is not done in so short a time
    def call(plan)
      folder = File.join(@archive.files.scratch, 'exports', 'polite')
      FileUtils.rm_rf(folder)
      turns, figures = nil
      making(folder, plan) do
        taking_turns(folder) do |so_far|
          figures = live(PEOPLE, rate: RATE, messages: 'durable', seconds: SECONDS, samples: true)
          turns = so_far.dup
        end
      end
      { seen: 'seen by others', answered: 'answered' }.each { |name, words| tell(words, figures[name], turns) }
      Report.line('  lost', figures[:lost], 'messages', target: '0')
      Report.line('one film beside the class', made(folder, plan) / (turns.length * TURN / 2.0), '× real time', target: '≥ 3, aim 6')
    end

    private

    # @param samples [Array<Array(Float, Float)>] ms since the epoch, and ms that it took
    # @param turns [Array<Array(Float, Boolean)>] since when, in ms since the epoch, the film was worked on or rested
    def tell(name, samples, turns)
      lasting = turns.each_cons(2).map { |(from, works), (to, _)| [works, from + (BETWEEN * 1000), to] }
      beside, alone = lasting.partition(&:first).map { |some| within(samples, some) }
      now, before = [beside, alone].map { |times| Report.percentile(times, 0.95) }
      Report.line("class beside a film, #{name} p95", now, 'ms', baseline: before, target: '< 1.2×, aim 1.05×')
    end

    def within(samples, turns) = turns.flat_map { |_, from, to| samples.select { |at, _| at.between?(from, to) }.map(&:last) }

    # s of the film that are there.
    def made(folder, plan)
      film = Veranda::Workshop::Film
      film.segments(plan[:length]).select { |number, *| File.exist?(film.segment(folder, number, 'webm')) }.sum { |_, from, to| to - from } / 1e3
    end

    def making(folder, plan)
      work = Veranda::Workshop::Film::Work.new(folder, fonts: Veranda::Workshop::Fonts.environment(@archive.files.scratch), lanes: -> { 1 },
                                                       told: ->(_) { !@over })
      maker = Thread.new { worked_on(work, plan) }
      # Its sound comes first.
      sleep 0.5 until Dir.glob(File.join(folder, '00000.*')).any?
      yield
    ensure
      @over = true
      maker.join
    end

    def worked_on(work, plan)
      work.call(plan)
    rescue Veranda::Workshop::Film::Work::Stopped
      nil
    end

    # @yieldparam turns [Array<Array(Float, Boolean)>]
    def taking_turns(folder)
      turns = []
      over = false
      taker = Thread.new do
        until over
          works = turns.length.even?
          system('pkill', works ? '-CONT' : '-STOP', '-f', folder)
          turns << [Time.now.to_f * 1000, works]
          sleep TURN
        end
      end
      yield turns
    ensure
      over = true
      taker.join
      system('pkill', '-CONT', '-f', folder)
    end
  end
end
