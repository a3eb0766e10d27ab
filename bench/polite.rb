# frozen_string_literal: true

require 'fileutils'

module Bench
  # One film that is made beside a class in which sixty people draw: what the class notices of it, and how fast the film is made. The class
  # is asked in turns, with the film at rest and with its work going on, since a shared machine is faster at one time than at another.
  class Polite < Fanout
    PEOPLE = 60
    # Strokes in a second: each person draws one.
    RATE = 60
    TURN = 20

    # @param plan [Hash] of a film, see {Veranda::Workshop::Film::Plan}
    def call(plan)
      folder = File.join(@archive.files.scratch, 'exports', 'polite')
      FileUtils.rm_rf(folder)
      alone, beside, took = [], [], 0
      until @made
        alone << drawn
        took += making(folder, plan) { beside << drawn }
      end
      tell('seen by others', :p95, alone, beside)
      tell('answered', :ack95, alone, beside)
      Report.line('  lost', beside.sum { |turn| turn[:lost] }, 'messages', target: '0')
      Report.line('one film beside the class', plan[:length] / took, '× real time', target: '≥ 3, aim 6')
    end

    private

    def drawn = live(PEOPLE, rate: RATE, messages: 'durable', seconds: TURN)

    def tell(name, figure, alone, beside)
      before, now = [alone, beside].map { |turns| Report.percentile(turns.map { |turn| turn.fetch(figure) }, 0.5) }
      Report.line("class beside a film, #{name} p95", now, 'ms', baseline: before, target: '< 1.2×, aim 1.05×')
    end

    # Goes on making the film for as long as the block takes, or until it is there.
    # @return [Float] ms that it was worked on
    def making(folder, plan)
      over = false
      work = Veranda::Workshop::Film::Work.new(folder, fonts: Veranda::Workshop::Fonts.environment(@archive.files.scratch), lanes: -> { 1 },
                                                       told: ->(_) { !over })
      maker = Thread.new { elapsed { @made = finished?(work, plan) } }
      yield
      over = true
      maker.value
    end

    def finished?(work, plan)
      work.call(plan)
      true
    rescue Veranda::Workshop::Film::Work::Stopped
      false
    end
  end
end
