# frozen_string_literal: true

require_relative '../spec_helper'
require 'async'

# A hub of this very process, with lines that the spec holds.
RSpec.describe 'People who are gone before it is their turn' do
  # Says hello and is gone, or stays until it is closed.
  class ShortLine
    def initialize(*texts)
      @texts = texts
    end

    def hear = @texts.shift
    def write_bytes(_bytes) = nil
    def close = nil
  end

  let(:hub) { Veranda::Live::Hub.new(ARCHIVE) }
  let(:made) { fresh_class }

  def hello = JSON.generate(t: 'hello', v: Veranda::Live::Protocol::VERSION, sitting: made[:sitting])

  it 'leaves nobody among the listeners, and the class as it was' do
    Sync do |task|
      hub.start(task)
      gathering = hub.gathering(ARCHIVE.lessons.fetch(made[:lesson]))
      50.times { Veranda::Live::Peer.new(ShortLine.new(hello), 'farah', hub).run(task) }
      quiet = false
      task.with_timeout(Patience::SECONDS) do
        until quiet
          task.sleep(0.05)
          gathering.look(made[:sitting]) { |sitting, _| quiet = sitting.seats['farah'].nil? || !sitting.seats['farah'].here? }
          task.sleep(0.05)
        end
      end
      expect(gathering.peers).to be_empty
      expect(gathering.streams).to be_empty
      task.stop
    end
  end

  it 'lets the writer go also when seeing somebody off fails' do
    allow(Veranda::Complaint).to receive(:of)
    Sync do |task|
      hub.start(task)
      allow(hub.presence).to receive(:part).and_raise('the table is away')
      peer = Veranda::Live::Peer.new(ShortLine.new(hello), 'farah', hub)
      expect { peer.run(task) }.not_to raise_error
      expect(peer.outbox.instance_variable_get(:@state)).to eq(:closed)
      task.stop
    end
  end
end
