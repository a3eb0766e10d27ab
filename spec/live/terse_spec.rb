# frozen_string_literal: true

require_relative '../spec_helper'

# What goes wrong is written down, and with it what it went wrong on: that must be short, and no secret.
RSpec.describe Veranda::Terse do
  let(:reach) { { url: 'ws://127.0.0.1:1', secret: 'api-secret', key: 'room-key', rooms: 'derived', address: '10.0.0.1', tracks: '/tmp' } }
  let(:hub) { Veranda::Live::Hub.new(ARCHIVE, stage: Veranda::Stage::Studio.new(reach)) }

  it 'keeps what is wrong with a call that is not there to a line without secrets' do
    lesson = ARCHIVE.lessons.fetch('rules')
    things = [hub, hub.stage, hub.archive, Veranda::Live::Gathering.new(lesson, hub), Veranda::Stage::Room.new(reach, '7', 'main'),
              Veranda::Stage::Link.new(reach), Veranda::Stage::Participant.new(Veranda::Stage::Link.new(reach), reach, 'farah', tell: -> {}, voice: -> {})]
    things.each do |thing|
      said = begin
        thing.dance
      rescue NoMethodError => e
        e.message
      end
      expect(said).to start_with('undefined method').and(satisfy { |words| words.length < 120 && words !~ /secret|room-key|derived/ })
    end
  end
end
