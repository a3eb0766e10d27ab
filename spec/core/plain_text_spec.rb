# frozen_string_literal: true

require_relative '../core_helper'

RSpec.describe Core::PlainText do
  it 'reads bytes from a socket as the UTF-8 they are' do
    expect(described_class.parse('{"name":"Keiko Brandão"}'.b)).to eq('name' => 'Keiko Brandão')
    expect(described_class.parse('["ß"]')).to eq(['ß'])
  end

  it 'refuses what can be neither stored nor sent on' do
    ['{', "[\"\xFF\"]".b, '["\\u0000"]', '["\\udc00"]', '{"a\\u0000":1}', "#{'[' * 50}#{']' * 50}"].each do |text|
      expect { described_class.parse(text) }.to refusing(:bad_input)
    end
    expect(described_class.parse('["\\ud83d\\ude00", "\\\\u0000"]')).to eq(['😀', '\\u0000'])
  end
end
