# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe Veranda::Store::Materials do
  # A worker that seems to be gone may only have stood still while another took its work up.
  it 'keeps a slide once that two workers make at the same time' do
    id, version = ARCHIVE.db[:material_slides].get(%i[material_id version])
    slide = ARCHIVE.db[:material_slides].first(material_id: id, version: version).slice(:w, :h, :words, :picture, :type, :thumbnail)
    makers = Array.new(4) { |i| Thread.new { 25.times { ARCHIVE.materials.add_slide(id, version, slide: 900, **slide, words: "by #{i}") } } }
    expect { makers.each(&:join) }.not_to raise_error
    expect(ARCHIVE.materials.slides(id, version).count { |row| row[:slide] == 900 }).to eq(1)
  ensure
    ARCHIVE.db[:material_slides].where(slide: 900).delete
  end
end
