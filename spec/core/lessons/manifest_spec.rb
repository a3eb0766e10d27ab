# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'The facts in the zip of a lesson' do
  def check(facts) = Core::Lessons::Manifest.check(facts)

  it 'tell foreign zips, and those of other versions, from what is ill-formed' do
    own = { 'format' => Core::Lessons::Manifest::FORMAT, 'version' => Core::Lessons::Manifest::VERSION }
    [nil, [], 'x', {}, own.merge('format' => 'other')].each { |facts| expect { check(facts) }.to refusing(:zip_foreign) }
    [nil, 'x', own['version'] + 1, own['version'] - 1].each { |version| expect { check(own.merge('version' => version)) }.to refusing(:zip_newer) }
    expect { check(own) }.to raise_error(Core::Refusal) { |e| expect(e.code).to eq(:bad_input) }
  end
end
