# frozen_string_literal: true

require_relative '../../core_helper'

# Who is muted, and who is asked to be heard or seen.
RSpec.describe Veranda::Core::Sittings::Invite do
  let(:hall) { sitting }
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }
  let(:jonas) { person(:jonas) }
  let(:invited) { -> { hall.world.state('own/s1.farah').invitation } }
  let(:answers) { -> { hall.world.state('staff/s1').invited.values } }

  before { [odalys, farah, jonas].each { |who| hall.do(who, 'class.join') } }

  def may?(right, who) = Core::Rights::Ask.call(right, by: who, sitting: hall.state, place: hall.world.state('place/s1.main')).allowed?

  it 'asks one alone, and lets them speak once they agree, though others may not' do
    hall.do(odalys, 'class.rule', { right: 'speak', allow: false })
    hall.do(odalys, 'class.invite', { person: 'farah', device: 'microphone' })
    expect(invited.call).to include(device: 'microphone', name: odalys.name)
    expect([may?(:speak, farah), answers.call]).to eq([false, [{ person: 'farah', device: 'microphone', yes: nil }]])
    hall.do(farah, 'class.answer_invitation', { yes: true })
    expect([invited.call, may?(:speak, farah), may?(:speak, jonas)]).to eq([nil, true, false])
    expect(answers.call).to eq([{ person: 'farah', device: 'microphone', yes: true }])
  end

  it 'changes nothing for who would rather not, nor for those whom nobody asked' do
    hall.do(odalys, 'class.rule', { right: 'camera', allow: false })
    hall.do(odalys, 'class.invite', { person: 'farah', device: 'camera' })
    hall.do(jonas, 'class.answer_invitation', { yes: true })
    hall.do(farah, 'class.answer_invitation', { yes: false })
    hall.do(farah, 'class.answer_invitation', { yes: true })
    expect([farah, jonas].map { |who| may?(:camera, who) }).to eq([false, false])
    expect(answers.call).to eq([{ person: 'farah', device: 'camera', yes: false }])
  end

  it 'invites nobody who is elsewhere, teaches, or is not there' do
    hall.do(farah, 'class.leave', { place: 'main' })
    %w[farah odalys nobody].each do |who|
      expect { hall.do(odalys, 'class.invite', { person: who, device: 'camera' }) }.to raise_error(Core::Refusal)
    end
    expect { hall.do(odalys, 'class.mute', { person: 'farah' }) }.to raise_error(Core::Refusal) { |refusal| expect(refusal.code).to eq(:not_here) }
    expect { hall.do(odalys, 'class.invite', { person: 'jonas', device: 'kettle' }) }.to raise_error(Core::Refusal)
  end

  it 'is over when one goes elsewhere' do
    hall.do(odalys, 'class.invite', { person: 'farah', device: 'camera' })
    hall.world.perform(odalys, 'class.leave', { place: 'main' }, on: 'sitting/s1', at: hall.clock += 1_000)
    own = hall.world.state('own/s1.farah')
    own.apply(Core::Streams::Entry.new(stream: 'own/s1.farah', seq: 9, at: 1, actor: 'odalys', kind: 'placed', body: { place: 'annex' }))
    expect(own.invitation).to be_nil
  end
end
