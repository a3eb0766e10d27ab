# frozen_string_literal: true

require_relative '../spec_helper'
require 'open3'

# A film shows what a player shows at the same moment, and is asked for and saved where one watches.
RSpec.describe 'A film', type: :journey do
  include Browsers
  include RandomMarks

  # Points of all that may differ by more than a third of the whole range: letters and thin lines are drawn a little otherwise by a browser,
  # and film has half as many points of colour each way.
  MAY_DIFFER = 0.002
  THIRD = 85
  SIZE = [1280, 720].freeze

  let(:server) { Server.shared }
  let(:began) { @began ||= Lessons::NOW.call }
  let(:made) { held }
  let(:stroke) { { kind: 'stroke', page: 'p1', x: 200, y: 500, ink: 'brick', width: 8, points: (0..120).flat_map { |i| [i * 8, (Math.sin(i / 6.0) * 120).round(1)] } } }

  before { Worker.shared }
  after { close_browsers }

  def act(name, seconds, stream, person: 'odalys', **input)
    Veranda::Deciding::Perform.call(ARCHIVE.log, name, input, stream: stream, by: Demo::School.person(person), sitting: @sitting, at: began + (seconds * 1000).round)
  end

  def held
    lesson = fresh_lesson('A film of it')
    @sitting = Veranda::Preparing::Classes.new(ARCHIVE).ready(ARCHIVE.lessons.fetch(lesson[:lesson]))
    whole, main, board = "sitting/#{@sitting}", "place/#{@sitting}.main", "board/#{lesson[:board]}"
    act('class.open', 0, whole)
    act('class.record', 0, whole, on: true)
    act('class.show', 0, main, board: lesson[:board], page: 'p1')
    rng = Random.new(11)
    marks = Array.new(60) { |i| random_mark(rng, i) }.reject { |mark| mark[:kind] == 'image' || mark[:prop] == 'timer' }
    marks.each_with_index { |mark, i| act('board.put', 1 + (i * 0.1), board, marks: [mark.except(:took)]) }
    act('board.put', 10, board, marks: [{ **stroke, id: 'slow', took: 4_000 }])
    act('board.point', 12.9, board, page: 'p1', path: 10.times.flat_map { |i| [900 - (i * 100), 700 + (i * 20), 300] })
    act('board.remove', 16, board, ids: marks.each_slice(3).map { |some| some.first[:id] })
    act('board.arrange', 17, board, ids: marks.last(9).map { |mark| mark[:id] }.reject { |id| marks.each_slice(3).any? { |some| some.first[:id] == id } }, way: 'to_front')
    act('class.end', 24, whole)
    { **lesson, sitting: @sitting }
  end

  # @return [String] red, green and blue of each point of what a player shows at a moment, as large as in a film
  def player(session, seconds)
    session.visit("#{server.address}/recordings/#{@sitting}?at=#{began + (seconds * 1000).round}")
    session.find('[data-mark]', match: :first)
    session.execute_script(<<~JS, *SIZE)
      const box = document.querySelector('main svg').parentElement;
      box.querySelectorAll('button').forEach((one) => one.remove());
      Object.assign(box.style, { position: 'fixed', inset: '0 auto auto 0', width: arguments[0] + 'px', height: arguments[1] + 'px', zIndex: 9999 });
    JS
    settle(session)
    path = File.join(Veranda::Environment.var, 'player.png')
    # What comes over the wire, letters and slides, comes one after the other.
    last = nil
    until_true('the player stands still') do
      before = last
      session.save_screenshot(path)
      before == (last = points('-i', path, '-vf', "crop=#{SIZE.join(':')}:0:0"))
    end
    last
  end

  def points(*input) = Open3.capture2('ffmpeg', '-v', 'error', *input, '-frames:v', '1', '-f', 'rawvideo', '-pix_fmt', 'rgb24', '-', binmode: true).first

  def film(path, seconds) = points('-ss', seconds.to_s, '-i', path)

  # @return [Float] share of points that differ by more than a third
  def differing(one, other)
    expect(one.bytesize).to eq(other.bytesize)
    far = ->(at) { (one.getbyte(at) - other.getbyte(at)).abs > THIRD }
    firsts = 0.step(one.bytesize - 1, 3)
    firsts.count { |at| far.call(at) || far.call(at + 1) || far.call(at + 2) } / firsts.size.to_f
  end

  it 'is made while one waits, saved from the page, and equals what the player shows' do
    made
    odalys = enter(:odalys, "/recordings/#{@sitting}")
    odalys.click_button('Take away')
    odalys.find('label', text: 'WebM').click
    odalys.click_button('Make the film')
    expect(odalys).to have_css('[data-testid=export]', text: 'It is there.', wait: Patience::FILMS)
    odalys.find('[data-testid=export] a', text: /Save MP4/)
    saved = odalys.find('[data-testid=export] a', text: /Save WebM/)[:href]
    export = ARCHIVE.exports.of(@sitting).first
    expect(saved).to end_with("/exports/#{export[:id]}/film.webm")
    path = ARCHIVE.files.path(export[:files].find { |file| file[:name] == 'film.webm' }[:file])
    odalys.click_button('Close')
    # All there; a stroke that grows; somebody who points; much of it gone and turned over.
    [9, 12, 13.5, 20].each do |seconds|
      expect(differing(player(odalys, seconds), film(path, seconds))).to be < MAY_DIFFER, "at #{seconds} s"
    end
    expect(differing(player(odalys, 9), film(path, 20))).to be > MAY_DIFFER
    errors = odalys.driver.browser.logs.get(:browser).select { |entry| entry.level == 'SEVERE' }
    expect(errors.map(&:message)).to eq([])
  end
end
