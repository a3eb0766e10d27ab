# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Materials' do
  def says(**seen) = Core::Materials::Findings.of(seen).map { |finding| finding[:says] }

  it 'tells an instructor what to look at, slide by slide' do
    expect(says(size: 1, slides: 9, animated: [1, 2, 3, 7])).to eq(['Movement on slides 1–3 and 7 is not shown; everything appears at once.'])
    expect(says(empty: [4])).to eq(['Slide 4 shows nothing.'])
    expect(says(fonts: { 'Calibri' => 'Carlito' }).first).to start_with('The font Calibri is not here; Carlito stands in.')
  end

  it 'tells which part of a damaged file is kept' do
    expect(says(saved: 12, promised: 20)).to eq(['This file is damaged after slide 12. Slides 1–12 are on the shelf. Save it again and upload that.'])
    expect(says(saved: 1)).to eq(['This file is damaged. The slide that could be read are on the shelf. Save it again and upload that.'.sub('are', 'is')])
  end

  it 'warns of size and length' do
    # 30 s at 10 Mbit/s are 37.5 million bytes.
    expect(says(size: 37_500_001, slides: 250)).to match([/35 MB, which takes 30 s on a weak connection/, /250 slides\.\z/])
    expect(says(size: 37_500_000)).to eq([])
    expect(says(size: 1, slides: 400)).to eq(['This file has 400 slides. The first 300 are on the shelf; split the file for the rest.'])
  end

  it 'takes only kinds that can be shown, by their content' do
    expect(Core::Materials::Kinds.of('application/pdf')).to eq('document')
    expect { Core::Materials::Kinds.of('application/x-msdownload') }.to refusing(:kind_unknown)
  end

  it 'makes names fit to show and to save' do
    expect(Core::Materials::FileName.clean("../../etc/pass\u202Ewd.pdf")).to eq('passwd.pdf')
    expect(Core::Materials::FileName.clean('..')).to eq('file')
    expect(Core::Materials::FileName.title('harbour_lights.pptx')).to eq('harbour lights')
    expect(Core::Materials::FileName.plain('Über Örtliche Lichter / 2')).to eq('uber-ortliche-lichter-2')
  end
end
