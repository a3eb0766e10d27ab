# frozen_string_literal: true

require_relative '../spec_helper'
require 'async'

RSpec.describe Veranda::Aside::Pool do
  # A helper that answers when the spec says so.
  class SlowHelper
    attr_reader :asked, :stopped

    def initialize(gate)
      @gate = gate
      @asked = []
    end

    def alive? = !@stopped

    def ask(name, arguments)
      @asked << arguments[:n]
      raise IOError, 'gone' if name == :fall_over
      raise TypeError, 'no _dump_data is defined for class Proc' if name == :odd

      @gate.wait
      [:done, arguments[:n]]
    end

    def stop = @stopped = true
  end

  # Whoever waits for ever is let go, so that it is told.
  around do |example|
    Sync do |task|
      example.run
      task.children&.each(&:stop)
    end
  end

  let(:gate) { Async::Condition.new }
  let(:helpers) { [] }
  let(:pool) { described_class.new(make: -> { SlowHelper.new(gate).tap { |helper| helpers << helper } }) }

  def ask(person, number, name = :work, **options)
    Async do
      pool.call(person, name, { n: number }, **options)
    rescue Core::Refusal => e
      e.code
    end
  end

  def let_through(count)
    count.times do
      Async::Task.current.yield
      gate.signal
      Async::Task.current.sleep(0.005)
    end
  end

  it 'lets people take turns, so that nobody waits for all that somebody else has asked for' do
    farah = Array.new(3) { |i| ask('farah', "f#{i}") }
    odalys = [ask('odalys', 'o0')]
    let_through(6)
    expect([*farah, *odalys].map(&:wait)).to eq(%w[f0 f1 f2 o0])
    expect(helpers.first.asked).to eq(%w[f0 f1 o0 f2])
  end

  it 'refuses more than a few of one person, and of nobody else' do
    first = Array.new(described_class::MOST_EACH + 3) { |i| ask('farah', i) }
    other = ask('odalys', 'o')
    let_through(8)
    expect(first.map(&:wait).count(:too_fast)).to be >= 2
    expect(other.wait).to eq('o')
  end

  it 'does not begin what nobody waits for any more' do
    ask('odalys', 'o')
    gone = ask('farah', 'f', gone: -> { true })
    Async::Task.current.sleep(0.7)
    let_through(3)
    expect(gone.wait).to eq(:gave_up)
    expect(helpers.flat_map(&:asked)).to eq(['o'])
  end

  it 'begins another helper when one fell over' do
    allow(Console).to receive(:warn)
    expect(ask('farah', 1, :fall_over).wait).to eq(:export_failed)
    again = ask('farah', 2)
    let_through(2)
    expect(again.wait).to eq(2)
    expect(helpers.length).to eq(2)
  end

  it 'answers whoever asks for what cannot be asked for, and whoever comes after them' do
    allow(Complaint).to receive(:of) if defined?(Complaint)
    allow(Console).to receive(:error)
    # Nobody waits for ever.
    expect(Async::Task.current.with_timeout(60) { ask('farah', 1, :odd).wait }).to eq(:fault)
    again = ask('farah', 2)
    let_through(2)
    expect(again.wait).to eq(2)
  end

  it 'goes on at once when somebody left in the middle of what a real process does for them' do
    real = described_class.new
    slow = Argon2::Password.new(t_cost: 150, m_cost: 16).create('slow')
    ask = lambda do |who, **options|
      Async { real.call(who, :password_fits, { hash: who == 'farah' ? slow : Argon2::Password.create('light'), password: 'light' }, **options) }
    end
    left = ask.call('farah', gone: -> { true })
    waiting = ask.call('odalys')
    expect { left.wait }.to refusing(:gave_up)
    # Nothing is left to wait for; that helper would have gone on for minutes.
    expect(Async::Task.current.with_timeout(60) { waiting.wait }).to be(true)
    real.instance_variable_get(:@helper).stop
  end

  it 'asks a real process, which says what it was refused and goes when it is told to' do
    real = described_class.new
    lesson = fresh_lesson
    expect(real.call('odalys', :findings, { lessons: [lesson[:lesson]], now: 0 })).to include(lesson[:lesson] => be_an(Array))
    expect { real.call('odalys', :board_svg, { board: lesson[:board], page: 'nowhere' }) }.to refusing(:no_such_board)
    expect(real.call('odalys', :password_fits, { hash: Argon2::Password.create('light'), password: 'light' })).to be(true)
    real.instance_variable_get(:@helper).stop
  end
end
