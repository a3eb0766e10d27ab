# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Files in the exchange' do
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }
  let(:hall) { sitting }
  let(:words) { Stage::Track.new('exchange/s1.main', hall.world) }

  def allow(on) = hall.do(odalys, 'class.rule', { right: 'bring', allow: on })

  it 'go with posts of those who may bring materials, with or without words, and with the post when it is deleted' do
    expect { words.do(farah, 'exchange.post', { id: 'p0', text: 'look', file: 'm1' }) }.to refusing(:may_not_bring)
    allow(true)
    words.do(farah, 'exchange.post', { id: 'p1', text: ' ', file: 'm1' })
    words.do(farah, 'exchange.post', { id: 'p2', text: 'look', file: 'm2' })
    expect(words.state.posts.values.map { |post| post.values_at(:text, :file) }).to eq([['', 'm1'], %w[look m2]])
    expect { words.do(farah, 'exchange.post', { id: 'p3', text: ' ' }) }.to refusing(:post_empty)
    words.do(farah, 'exchange.delete', { id: 'p2' })
    expect(words.state.posts['p2']).not_to have_key(:file)
    allow(false)
    words.do(odalys, 'exchange.post', { id: 'p4', text: '', file: 'm4' })
  end

  it 'go in threads by the same right' do
    begun = { id: 't1', people: ['jonas'], staff: false, post: { id: 'a', text: '', file: 'm1' } }
    expect { words.do(farah, 'exchange.begin_thread', begun) }.to refusing(:may_not_bring)
    allow(true)
    words.do(farah, 'exchange.begin_thread', begun)
    thread = Stage::Track.new('thread/s1.t1', hall.world)
    thread.do(person(:jonas), 'thread.post', { id: 'b', text: 'thanks', file: 'm2' })
    expect(thread.state.posts.values.map { |post| post[:file] }).to eq(%w[m1 m2])
    allow(false)
    expect { thread.do(person(:jonas), 'thread.post', { id: 'c', text: '', file: 'm3' }) }.to refusing(:may_not_bring)
  end

  it 'are so large, and so many in a day' do
    limits = Core::Exchange::FileLimits
    expect { limits.check!(limits::FILE, limits::DAY - limits::FILE) }.not_to raise_error
    expect { limits.check!(limits::FILE + 1, 0) }.to refusing(:file_too_large)
    expect { limits.check!(1, limits::DAY) }.to refusing(:too_much_today)
  end
end
