# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'What was written in a class' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:words) { "exchange/#{made[:sitting]}.main" }
  let(:visitors) { Hash.new { |all, who| all[who] = VisitorClient.new(server, as: who) } }

  def saved(format, who = 'odalys') = visitors[who].get("/api/classes/#{made[:sitting]}/transcript.#{format}")
  def policy(on, who = 'odalys') = visitors[who].patch('/api/courses/navigation', { private_in_transcripts: on })

  before do
    wires = %w[odalys farah jonas].to_h { |who| [who, Wire.join(server, who, { sitting: made[:sitting] })] }
    wires['farah'].give('exchange.post', words, { id: 'p1', text: '=HYPERLINK("x")' })
    wires['farah'].give('exchange.begin_thread', words, { id: 't1', people: [], staff: true, post: { id: 'p2', text: 'to staff alone' } })
    wires['farah'].give('exchange.begin_thread', words, { id: 't2', people: ['jonas'], staff: false, post: { id: 'p3', text: 'between us' } })
    wires.each_value(&:cut)
  end

  after { policy(false) }

  it 'is saved by staff in three formats, and given to nobody else' do
    expect(%w[txt csv vtt].map { |format| saved(format).status }).to all(eq(200))
    expect(saved('csv').headers['content-disposition']).to include('transcript.csv')
    expect(saved('csv').body).to include(%('=HYPERLINK(""x"")))
    expect(saved('vtt').body).to start_with('WEBVTT')
    expect([saved('txt', 'farah').status, saved('pdf').body['code']]).to eq([403, 'bad_input'])
  end

  it 'holds what was private to staff where the course says so, and never what a few wrote to one another' do
    expect(saved('txt').body).not_to match(/to staff alone|between us/)
    expect(policy(true).body).to include('private_in_transcripts' => true)
    expect(saved('txt').body).to include('to staff alone')
    expect(saved('txt').body).not_to include('between us')
    expect([policy(true, 'tomas').status, policy(true, 'farah').status, policy('yes').status]).to eq([403, 403, 422])
  end
end
