# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'The exchange' do
  let(:hall) { sitting }
  let(:track) { Stage::Track.new('exchange/s1.main', hall.world) }
  let(:farah) { person(:farah) }

  def texts = track.state.posts.values.map { |post| post[:text] }

  it 'keeps posts with name and time' do
    track.do(farah, 'exchange.post', { id: 'a', text: "  Which of us turns?\n" }, at: 1_234)
    expect(track.state.posts['a']).to eq(id: 'a', to: 'everyone', name: 'Farah Lindqvist', text: 'Which of us turns?',
                                         by: 'farah', at: 1_234)
  end

  it 'refuses nothing, too much, and the same post twice' do
    expect { track.do(farah, 'exchange.post', { id: 'a', text: " \n " }) }.to refusing(:post_empty)
    expect { track.do(farah, 'exchange.post', { id: 'a', text: 'x' * 2_001 }) }.to refusing(:post_too_long)
    track.do(farah, 'exchange.post', { id: 'a', text: 'x' * 2_000 })
    expect { track.do(farah, 'exchange.post', { id: 'a', text: 'again' }) }.to refusing(:post_exists)
  end

  it 'lets people delete their own and staff any; that there was one stays known' do
    track.do(farah, 'exchange.post', { id: 'a', text: 'oops' })
    expect { track.do(person(:jonas), 'exchange.delete', { id: 'a' }) }.to refusing(:not_your_post)
    track.do(person(:tomas), 'exchange.delete', { id: 'a' })
    expect(texts).to eq([nil])
    expect(track.state.posts['a']).to include(name: 'Farah Lindqvist', deleted_by: 'tomas')
    expect(track.do(farah, 'exchange.delete', { id: 'a' })).to be_nil
    expect { track.do(farah, 'exchange.delete', { id: 'b' }) }.to refusing(:no_such_post)
  end

  it 'sends late arrivals the latest posts only' do
    250.times { |i| track.do(farah, 'exchange.post', { id: "p#{i}", text: i.to_s }) }
    expect(track.state.view[:posts].map { |post| post[:text] }).to eq((50..249).map(&:to_s))
    expect(track.restored.to_h).to eq(track.state.to_h)
  end
end
