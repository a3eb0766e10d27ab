# frozen_string_literal: true

require_relative '../spec_helper'

# A rehearsal is heard and seen.
RSpec.describe 'A rehearsal on stage', type: :journey do
  include Browsers
  include OnStage

  let(:media) { @media ||= Media.new }
  let(:server) { @server ||= Server.new(more: media.told) }
  let(:made) { fresh_class }
  let(:sitting) { VisitorClient.new(server, as: 'odalys').post("/api/lessons/#{made[:lesson]}/rehearsals", { stand_ins: 8 }).body['sitting'] }

  after do
    close_browsers
    @server&.stop
    @media&.stop
  end

  def voices(session) = session.evaluate_script("[...document.querySelectorAll('[data-testid^=seat-stand-in]')].map((one) => one.textContent).join()")

  it 'has stand-ins who show themselves and speak now and then, and who can be muted like anybody' do
    perform('odalys', 'class.open', "sitting/#{sitting}")
    odalys = enter(:odalys)
    odalys.click_button('Begin with One')
    until_true('stand-ins are seen') { pictures(odalys).any? }
    until_true('one speaks') { voices(odalys).include?('speaks') && heard?(odalys) }
    perform('odalys', 'class.rule', "place/#{sitting}.main", right: 'speak', allow: false)
    until_true('none is heard') { coming(odalys, 'audio').zero? }
    perform('odalys', 'class.rule', "place/#{sitting}.main", right: 'camera', allow: false)
    until_true('none is seen') { coming(odalys, 'video').zero? }
    expect(errors(odalys)).to eq([])
  end
end
