# frozen_string_literal: true

require_relative '../../core_helper'
require_relative '../../support/reference'

# Limits, tables and rules on input that people and other programs have come to rely on.
RSpec.describe 'The tables of the core, against what they were' do
  include Reference

  def look(space, path = '', &block)
    space.constants(false).sort.each do |name|
      value = space.const_get(name)
      place = "#{path}#{name}"
      value.is_a?(Module) ? (look(value, "#{place}::", &block) if value.name&.end_with?(place)) : yield(place, value)
    end
  end

  it 'are the same' do
    rows = []
    look(Core) do |place, value|
      case value
      when Numeric, String then rows << [place, value] unless place.end_with?('MESSAGES') # a path of this machine
      when Regexp then rows << [place, value.source]
      when Hash, Array then rows << [place, digest(value.inspect)] if plain?(value)
      end
    end
    expect_reference('constants', rows)
  end

  it 'let the same input in' do
    contracts = Core::Commands::ALL.to_h { |command| [command.wire_name, command.contract] }
    contracts['manifest'] = Core::Lessons::Manifest::CONTRACT
    expect_reference('contracts', contracts.map { |name, contract| [name, digest(contract.rules.transform_values(&:to_ast).inspect)] })
  end

  it 'hold the same values good' do
    values = [-400, -360.1, -360, -1, -0.1, 0, 0.5, 1, 1.1, 13.9, 14, 60, 60.1, 200, 201, 360, 360.1, 12_000, 12_000.1, -12_000, -12_001,
              Float::INFINITY, nil, 'x', 4_102_444_800_000, 4_102_444_800_001, [], [1], [0, 1], [1, 2, 3, 4], [0, 1.1], [1000, 1000.1], [-1, 1], [0.5, nil]]
    verdicts = Core::Types::Predicates.singleton_methods(false).sort.map do |name|
      [name, values.map { |value| verdict(name, value) }.join]
    end
    expect_reference('predicates', verdicts)
  end

  def verdict(name, value)
    Core::Types::Predicates.public_send(name, value) ? 1 : 0
  rescue NoMethodError, ArgumentError
    'x'
  end

  it 'sort words of each language in the same order' do
    words = %w[Zürich Ärmel Apfel Örn Zorn ángel ñandú nube České chata cihla ďábel šála žába źdźbło żaba łódź lotka ógórek oko ćma cień dzień
               džep đak Ǆ ljeto lopta nj ågren ängel ö ø æ aa ab ß ss œ oe ﬁ fi 1 10 2 é e E ĳ þ ı i İ csók cukor dzs gyár gúny sző szó tyúk țară
               tare șase sase â ă î șţ tšehhi õun ü w z ž]
    languages = [*Core::Collation::LETTERS.keys, 'en', 'de', 'de-CH', 'SV-fi', 'xx', '']
    expect_reference('collation', languages.map { |language| [language, words.sort_by { |word| Core::Collation.key(word, language: language) }.join(' ')] })
  end

  it 'clean the same names, and tell inks apart as well' do
    names = ['', '..', "a\u202Eb.pdf", '../x', 'Fog & rain (2).pptx', 'ÄÖÜ ß.odp', '.hidden', 'a' * 300, 'con', "tab\tname", 'dots...', 'no_ending']
    expect_reference('file_names', names.map { |name| %i[clean title plain].map { |way| Core::Materials::FileName.public_send(way, name) } })
    pairs = Core::Boards::Inks::INKS.values.product(%w[#FBF7EE #000000 #FFFFFF #888888])
    expect_reference('contrasts', pairs.map { |ink, paper| Core::Boards::Inks.contrast(ink, paper).round(6) })
  end
end
