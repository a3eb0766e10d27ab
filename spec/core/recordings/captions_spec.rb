# frozen_string_literal: true

require_relative '../../core_helper'

# Captions as others write them, and as they are written.
RSpec.describe Veranda::Core::Recordings::CaptionFile do
  def read(text) = described_class.new(text).read
  def cues(text) = read(text).first.map { |cue| cue.to_h.values_at(:from, :to, :words) }

  # The examples of W3C, WebVTT: The Web Video Text Tracks Format, 1.1 to 1.6.
  it 'reads what the standard shows' do
    vtt = <<~VTT
      WEBVTT - a file

      STYLE
      ::cue { color: papayawhip }

      NOTE
      This is a note --

      1 - a cue
      00:11.000 --> 00:13.000 line:0 position:20%
      <v Roger Bingham>We are in <i.loud>New York</i> City &amp; here

      01:00:13.500 --> 01:00:16.000
      - It will perforate your stomach.
      - You could die.
    VTT
    expect(cues(vtt)).to eq([[11_000, 13_000, 'We are in New York City & here'],
                             [3_613_500, 3_616_000, "- It will perforate your stomach.\n- You could die."]])
  end

  it 'writes what somebody has said and no markup of theirs, in both forms' do
    said = [Core::Recordings::Cue.new(id: 'c', from: 0, to: 1_000, words: '<b>Loud</b> & {\\an8}up, 3 < 4 --> <script>')]
    srt, vtt = Core::Recordings::WebVtt.srt(said), Core::Recordings::WebVtt.write(said)
    expect(srt.lines[2].strip).to eq('‹b›Loud‹/b› & { \\an8}up, 3 < 4 -> ‹script›')
    expect(vtt.lines[3].strip).to eq('&lt;b&gt;Loud&lt;/b&gt; &amp; {\\an8}up, 3 &lt; 4 -&gt; &lt;script&gt;')
    expect(Core::Recordings::CaptionFile.new(vtt).read.first.map(&:words)).to eq(['<b>Loud</b> & up, 3 < 4 -> <script>'])
  end

  it 'reads SubRip, whatever the ends of its lines' do
    expect(cues("1\r\n00:00:01,500 --> 00:00:02,000\r\n<font color=red>Low</font> {\\an8}water\r\n\r\n2\r\n00:00:03,5 --> 00:00:04,25\r\nHigh\r\n"))
      .to eq([[1_500, 2_000, 'Low water'], [3_500, 4_250, 'High']])
  end

  it 'reads other encodings' do
    text = "WEBVTT\n\n00:01.000 --> 00:02.000\nBärenfährte – Größe"
    expect(cues(text.encode('Windows-1252'))).to eq(cues(text))
    expect(cues("\uFEFF#{text}")).to eq(cues(text))
    expect(cues("\uFEFF#{text}".encode('UTF-16LE'))).to eq(cues(text))
    expect(cues("\uFEFF#{text}".encode('UTF-16BE'))).to eq(cues(text))
  end

  it 'takes what it can, and says of the rest in which line it was and why' do
    taken, problems = read(['WEBVTT', "00:09.000 --> 00:08.000\nBackwards", "xx --> 00:08.000\nNo time", 'No time at all',
                            "00:05.000 --> 00:09.000\nTwo", "00:01.000 --> 00:06.000\nOne, over two\n"].join("\n\n"))
    expect(taken.map(&:words)).to eq(['One, over two', 'Two'])
    expect(problems.map { |one| one[:line] }).to eq([3, 6, 9])
    expect(problems.map { |one| one[:says] }).to eq(['It ends before it begins.', 'The time cannot be read.', 'No time.'])
  end

  it 'refuses what holds none, and what is too long' do
    expect { read('') }.to refusing(:no_captions)
    expect { read("\x00\xFF\x13" * 999) }.to refusing(:no_captions)
    expect { read('x' * 10_000_000) }.to refusing(:too_big)
    many = "WEBVTT\n\n#{Array.new(6_000) { |i| "00:00:#{format('%02d', i % 60)}.000 --> 01:00:00.000\nx\n\n" }.join}"
    expect(read(many).first.length).to eq(Veranda::Core::Recordings::Cue::MOST)
  end

  it 'reads again what is written, whatever is in it' do
    rng = Random.new(5)
    50.times do
      made = Array.new(rng.rand(1..9)) do |i|
        words = Array.new(rng.rand(1..6)) { ['a < b', '-->', '&amp;', 'Größe', 'x', "two\nlines", '{\\an8}', '日本'].sample(random: rng) }.join(' ')
        Veranda::Core::Recordings::Cue.new(from: i * 4_000, to: i * 4_000 + 1 + rng.rand(9_000_000), words: words)
      end
      again, = read(Veranda::Core::Recordings::WebVtt.write(made))
      plain = ->(words) { words.gsub('-->', '->').gsub('{\\an8}', '').squeeze(' ').strip }
      expect(again.map { |cue| [cue.from, cue.to, plain.call(cue.words)] }).to eq(made.map { |cue| [cue.from, cue.to, plain.call(cue.words)] }.reject { |cue| cue.last.empty? })
    end
  end
end
