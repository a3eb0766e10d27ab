# frozen_string_literal: true

require_relative '../spec_helper'
require_relative '../../lib/setup/tables'

RSpec.describe 'docs/tables.md' do
  it 'says what the code says' do
    expect(File.read(File.join(Veranda::ROOT, 'docs/tables.md'))).to eq(Setup::Tables.text), 'bundle exec ruby lib/setup/tables.rb >docs/tables.md'
  end
end
