# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Stage::Relays do
  # As `printf NAME | openssl dgst -sha1 -hmac KEY -binary | base64` has it.
  it 'gives everybody a name that holds for a few hours, and the password that a relay expects for it' do
    relays = described_class.new(%w[turn:relay.example:3478], 'north', clock: -> { 1_795_000_000 })
    name = '1795021600:farah'
    expect(relays.of('farah')).to eq([{ urls: %w[turn:relay.example:3478], username: name, credential: 'PUSgRPlUBp4+AFEldtBVYRzOdNI=' }])
    expect(relays.of('nils').first[:credential]).not_to eq(relays.of('farah').first[:credential])
    expect(described_class.new([], '').of('farah')).to eq([])
  end
end
