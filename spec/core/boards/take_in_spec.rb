# frozen_string_literal: true

require_relative '../../core_helper'
require_relative '../../support/invented'

RSpec.describe 'Boards taken in from elsewhere' do
  let(:odalys) { person(:odalys) }

  # What JSON keeps of a board.
  def plain(board) = JSON.parse(JSON.generate(board.to_h.except(:history)), symbolize_names: true)

  it 'become what they were, over boards of all kinds' do
    invented = Invented.new(5)
    25.times do |i|
      other = invented.board(i)
      track = board
      track.do(odalys, 'board.take_in', other.as_taken_in)
      expect(plain(track.state)).to include(plain(other).slice(:pages, :page_facts, :marks))
      expect(plain(track.state)[:authors]).to include(*plain(other)[:authors])
      expect(track.state.top).to be >= other.top
    end
  end

  it 'are refused where ids are shared, pages are not there, or something is on the board' do
    fine = Invented.new(6).board(3).as_taken_in
    twice = [fine.merge(marks: fine[:marks] * 2), fine.merge(pages: fine[:pages] * 2)]
    twice.each { |one| expect { board.do(odalys, 'board.take_in', one) }.to refusing(:mark_exists) }
    away = fine.merge(marks: fine[:marks].map { |mark| mark.merge(page: 'p8') })
    expect { board.do(odalys, 'board.take_in', away) }.to refusing(:no_such_page)
    [['board.put', { marks: [stroke('s')] }], ['board.set_page', { page: 'p1', grows: true }]].each do |first|
      track = board
      track.do(odalys, *first)
      expect { track.do(odalys, 'board.take_in', fine) }.to refusing(:board_in_use)
    end
  end
end
