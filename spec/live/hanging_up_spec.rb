# frozen_string_literal: true

require_relative '../spec_helper'

# A fiber that waits for somebody's next word is not woken when another closes the connection under it.
RSpec.describe 'Whoever the server hangs up on' do
  let(:server) { Server.shared }
  let(:made) { fresh_class }
  let(:scope) { { sitting: made[:sitting] } }

  def here(wire, who)
    wire.wait { |message| message['t'] == 'entry' && message.to_s.include?(who) && yield(message) }
  end

  it 'is seen to leave, and hears no more' do
    odalys = Wire.join(server, 'odalys', scope)
    odalys.do('class.open', "sitting/#{made[:sitting]}")
    visitor = VisitorClient.new(server, as: 'farah')
    farah = Wire.new(visitor)
    farah.hello(scope)
    here(odalys, 'farah') { |message| message['kind'] == 'joined' }
    visitor.delete('/api/session')
    here(odalys, 'farah') { |message| message['kind'] == 'dropped' }
    until_true('she is off') { farah.closed? }
  end

  it 'is let go of also when they read nothing of what is sent to them' do
    odalys = Wire.join(server, 'odalys', scope)
    odalys.do('class.open', "sitting/#{made[:sitting]}")
    visitor = VisitorClient.new(server, as: 'farah')
    farah = Wire.new(visitor)
    farah.hello(scope)
    here(odalys, 'farah') { |message| message['kind'] == 'joined' }
    farah.deaf
    text = 'x' * 1_900
    500.times { |i| odalys.say(t: 'do', id: "deaf#{i}", do: 'exchange.post', stream: "exchange/#{made[:sitting]}", with: { id: "deaf#{i}", text: text }) }
    visitor.delete('/api/session')
    here(odalys, 'farah') { |message| message['kind'] == 'dropped' }
  end
end
