# frozen_string_literal: true

require_relative '../core_helper'

RSpec.describe Core::Collation do
  def sorted(words, language) = words.shuffle(random: Random.new(4)).sort_by { |word| described_class.key(word, language: language) }

  # The sample orders of UTS #10 (Unicode Collation Algorithm), table "Example Differences" and section 1.1,
  # and the main sequences of the CLDR tailorings.
  {
    'en' => %w[role roles rule], 'de' => %w[Ofen öfter Zimt], 'sv' => %w[Zebra Åsa Ärla Öland],
    'da' => %w[Zoo Ærø Østen Århus], 'es' => %w[nube ñandú oso], 'cs' => %w[cena čaj hora chata jaro], 'pl' => %w[las łąka most],
    'hr' => %w[cvijet čaj ćup dom], 'fi' => %w[talo vene åke äiti öljy], 'et' => %w[suur šokk zebu žest tamm]
  }.each do |language, words|
    it "has the letters of #{language} in their order" do
      expect(sorted(words, language)).to eq(words)
    end
  end

  it 'looks at accents only when the letters are equal, and at case last (UTS #10, multi-level comparison)' do
    expect(sorted(%w[cote coté côte côté coter], 'en').last).to eq('coter')
    expect(sorted(%w[resume résumé Resume resumes], 'en').last).to eq('resumes')
    expect(sorted(%w[Anna anna], 'en')).to eq(%w[anna Anna])
  end

  it 'passes over spaces and punctuation, and puts digits before letters' do
    expect(sorted(['de luge', 'deluge', 'de Luge', 'demark'], 'en').last).to eq('demark')
    expect(sorted(%w[b 2 a 1], 'en')).to eq(%w[1 2 a b])
  end

  it 'orders other scripts by their alphabet' do
    expect(sorted(%w[яма борт катер], 'ru')).to eq(%w[борт катер яма])
    expect(sorted(%w[ωκεανός άγκυρα βάρκα], 'el')).to eq(%w[άγκυρα βάρκα ωκεανός])
  end
end
