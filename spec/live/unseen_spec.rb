# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Looking into a class unseen' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:scope) { { sitting: made[:sitting] } }
  let(:sitting) { "sitting/#{made[:sitting]}" }

  it 'is for staff: they read all, take no seat and nobody is told, until they do something' do
    farah = Wire.join(server, 'farah', scope)
    tomas = Wire.join(server, 'tomas', scope.merge(unseen: true))
    expect(tomas.part(sitting)['view']['seats'].map { |seat| seat['id'] }).to eq(['farah'])
    farah.give('exchange.post', "exchange/#{made[:sitting]}.main", { id: 'p', text: 'hello' })
    tomas.wait { |message| message['kind'] == 'posted' }
    tomas.cut
    odalys = Wire.join(server, 'odalys', scope)
    expect(odalys.part(sitting)['view']['seats'].map { |seat| seat['id'] }).to eq(%w[farah odalys])
    expect(ARCHIVE.log.entries(sitting).map(&:actor)).not_to include('tomas')
  end

  it 'is nothing for others: they are seen as ever, or wait' do
    odalys = Wire.join(server, 'odalys', scope)
    Wire.join(server, 'farah', scope.merge(unseen: true))
    odalys.wait { |message| message['kind'] == 'joined' && message['by'] == 'farah' }
    expect(Wire.join(server, 'farah', scope.merge(unseen: 'yes')).heard.last).to include('t' => 'error', 'code' => 'bad_input')
  end
end
