# frozen_string_literal: true

require_relative '../spec_helper'
require 'async'

RSpec.describe Veranda::Live::Transients do
  before { allow(Veranda::Complaint).to receive(:of) }

  # What is passed on of some glimpses, to those near and far.
  # @yieldparam transients [Veranda::Live::Transients]
  def passed(near: ->(*) {}, far: ->(*) {})
    told = { near: [], far: [] }
    Sync do |task|
      transients = described_class.new(near: ->(stream, json) { told[:near] << json && near.call(stream) }, far: ->(stream, json) { told[:far] << json && far.call(stream) })
      runner = task.async { transients.run(task) }
      yield transients, task
      sleep 0.05
    ensure
      runner&.stop
    end
    told
  end

  def ids(frames) = frames.flat_map { |json| JSON.parse(json)['all'].map { |one| one['body']['id'] } }

  it 'passes on what is too long for one frame in several, and loses none of it' do
    told = passed { |transients, _| 60.times { |i| transients.add('board/b', 'farah', 'ink', { id: i, points: Array.new(60) { |n| n * 7 } }) } }
    expect(ids(told[:near])).to eq((0...60).to_a)
    expect(told[:near].length).to eq(1)
    expect([ids(told[:far]), told[:far].length > 1, told[:far].map(&:bytesize).max < Veranda::Live::Bus::PAYLOAD_LIMIT - 200]).to eq([(0...60).to_a, true, true])
  end

  it 'goes on after one that could not be passed on' do
    failures = 0
    told = passed(far: ->(stream) { stream == 'board/bad' && (failures += 1) && raise(Sequel::DatabaseError, 'no') }) do |transients, task|
      transients.add('board/bad', 'farah', 'pointer', { id: 1 })
      task.sleep(0.05)
      transients.add('board/good', 'farah', 'pointer', { id: 2 })
    end
    expect([failures, ids(told[:near]), ids(told[:far])]).to eq([1, [1, 2], [1, 2]])
  end
end
