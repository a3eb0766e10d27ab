# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'How many a class holds' do
  before { stub_const('Core::Sittings::Join::CAPACITY', 4) }

  it 'counts those who are in and those who wait, up to the last place and no further' do
    hall = sitting # odalys, farah and jonas
    hall.do(person(:oona), 'class.join')
    expect { hall.do(person(:tomas), 'class.join') }.to refusing(:class_full)
    hall.do(person(:jonas), 'class.leave', { place: 'main' })
    expect { hall.do(person(:tomas), 'class.join') }.not_to raise_error
  end

  it 'lets someone who waits go, unless they have come back since' do
    hall = sitting(open: false)
    hall.do(person(:farah), 'class.join', at: 950_000)
    since = hall.staff.waiting.dig('farah', :since)
    expect(hall.do(person(:farah), 'class.drop', { since: since - 1 })).to be_nil
    expect(hall.do(person(:farah), 'class.drop', { since: since }).kind).to eq('waits_no_more')
    expect(hall.staff.waiting).not_to have_key('farah')
  end

  it 'counts those who wait at closed doors' do
    hall = sitting(open: false) # odalys
    %i[farah jonas oona].each { |id| hall.do(person(id), 'class.join') }
    expect { hall.do(person(:tomas), 'class.join') }.to refusing(:class_full)
  end
end
