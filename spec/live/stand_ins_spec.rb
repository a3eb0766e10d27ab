# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::StandIns::Caller do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:sitting) { made[:sitting] }
  let(:link) { VisitorClient.new(server, as: 'odalys').post("/api/lessons/#{made[:lesson]}/links", {}).body['token'] }

  def begin_round(round)
    perform('odalys', 'poll.open', "staff/#{sitting}", poll: 'p', round: round)
    yield
    perform('odalys', 'poll.close', "staff/#{sitting}", poll: 'p', round: round)
  end

  def answers(round) = ARCHIVE.log.state("answers/#{sitting}.p").first.by_person(round)

  it 'comes by a link, answers a poll once in each round, and goes when the class ends' do
    perform('odalys', 'poll.stage', "staff/#{sitting}", poll: 'p', question: { kind: 'yes_no', text: 'Does Red give way?' })
    Sync do |task|
      callers = Array.new(3) do |i|
        task.async { described_class.new(server.address, link, name: "Stand-in #{i}", rng: Random.new(i)).call(seconds: 60, pace: 0.1) }
      end
      [1, 2].each do |round|
        begin_round(round) { until_true('all have answered') { answers(round).length == 3 } }
      end
      perform('odalys', 'class.end', "sitting/#{sitting}")
      task.with_timeout(Patience::SECONDS) { callers.each(&:wait) }
    end
    expect([1, 2].map { |round| answers(round).length }).to eq([3, 3])
    expect(ARCHIVE.log.entries("answers/#{sitting}.p").length).to eq(6)
  end
end
