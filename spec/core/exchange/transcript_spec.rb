# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Exchange::Transcript do
  def post(id, at, text, **more) = { id: id, by: 'farah', name: 'Farah', to: 'everyone', at: at, text: text, **more }

  def made(*posts, **more) = described_class.new([{ posts: posts, **more }], title: 'Collision rules', from: 1_000_000)

  let(:private_thread) { { people: [{ id: 'farah', name: 'Farah' }, { id: 'jonas', name: 'Jonas' }], staff: true } }

  it 'is plain text, in the order in which it was written, with whom it was for and without what was deleted' do
    whole = described_class.new([{ posts: [post('b', 3_600_000, 'second'), post('c', 1, 'gone').except(:text).merge(deleted_by: 'farah')] },
                                 { posts: [post('a', 60_000, "first\nof two lines")], **private_thread }], title: 'Collision rules', from: 0)
    expect(whole.to('txt')).to eq("Collision rules\n\n00:01:00  Farah to Jonas, staff: first\n          of two lines\n01:00:00  Farah to everyone: second\n")
  end

  # RFC 4180: quotes are doubled, rows end with CR LF.
  it 'is CSV that reads back as it was, in which no cell is a formula' do
    texts = ['=1+1', '+1', '-1', '@SUM(A1)', "\t=1", 'a "quoted", word', "two\nlines", 'ordinary', '1 = 1']
    rows = CSV.parse(made(*texts.each_with_index.map { |text, i| post("p#{i}", 1_000_000 + i, text) }).csv)
    expect(rows.first).to eq(%w[time from to text])
    expect(rows.drop(1).map(&:last)).to eq(["'=1+1", "'+1", "'-1", "'@SUM(A1)", "'\t=1", *texts.last(4)])
    expect(rows[1].first).to eq('1970-01-01T00:16:40Z')
    expect(made(post('x', 1, 'a')).csv).to end_with("\r\n")
    expect(made(post('x', 1, 'a', name: '=cmd')).csv).to include("'=cmd")
  end

  # W3C WebVTT: a cue's text has no line with -->, no blank line, and escapes < > and &.
  it 'is WebVTT whose cues begin when it was written and hold what was written, whatever that is' do
    vtt = made(post('a', 1_000_000 + 3_723_004, "1 < 2 & 3 --> 4\n\n<b>x</b>"), post('b', 900_000, 'before it began')).vtt
    expect(vtt).to start_with("WEBVTT\n\n00:00:00.000 --> 00:00:02.000\n<v Farah>before it began\n\n")
    expect(vtt).to include("01:02:03.004 --> 01:02:05.004\n<v Farah>1 &lt; 2 &amp; 3 --&gt; 4\n&lt;b&gt;x&lt;/b&gt;\n")
    expect(made(post('f', 1_000_000, '', file: 'm')).vtt).to include('<v Farah>(a file)')
    expect(made(post('long', 1_000_000, 'w' * 2_000)).vtt).to include('00:00:00.000 --> 00:00:08.000')
  end

  it 'is whole for random texts: every post is a row and a cue' do
    rng = Random.new(5)
    letters = [*'a'..'z', "\n", '"', ',', '=', '<', '&', '>', '-', ' ', "\r\n", 'é', '字']
    20.times do
      posts = Array.new(10) { |i| post("p#{i}", 1_000_000 + rng.rand(5_000_000), "x#{Array.new(rng.rand(40)) { letters.sample(random: rng) }.join}y") }
      whole = made(*posts)
      expect(CSV.parse(whole.csv).drop(1).map(&:last)).to eq(posts.sort_by { |one| one[:at] }.map { |one| one[:text] })
      expect(whole.vtt.split("\n\n").length).to eq(11)
    end
  end
end
