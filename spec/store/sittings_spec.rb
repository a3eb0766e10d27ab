# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Store::Sittings do
  it 'does not take for going on what was never ended' do
    fresh_class
    hours_later = ->(hours) { ARCHIVE.sittings.any_going_on?(now: Time.now + (hours * 3_600)) }
    expect([0, 5, 7].map(&hours_later)).to eq([true, true, false])
  end
end
