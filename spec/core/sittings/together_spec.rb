# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Keeping a class together' do
  let(:hall) { sitting }
  let(:odalys) { person(:odalys) }
  let(:tomas) { person(:tomas) }

  before { hall.do(tomas, 'class.join') }

  def keep(by, on: true) = hall.do(by, 'class.keep_together', { on: on })

  it 'is done by staff, while the class goes on' do
    expect { keep(person(:farah)) }.to refusing(:staff_only)
    keep(odalys)
    expect(hall.place.leader).to eq('odalys')
    expect(keep(odalys)).to be_nil
    hall.do(odalys, 'class.end')
    expect { keep(odalys, on: false) }.to refusing(:class_ended)
  end

  it 'passes to whoever of the staff asks for it, and any of them may let the class roam' do
    keep(odalys)
    keep(tomas)
    expect(hall.place.leader).to eq('tomas')
    keep(odalys, on: false)
    expect(hall.place.leader).to be_nil
    expect(keep(odalys, on: false)).to be_nil
  end

  it 'goes on while whoever leads has lost the connection, and ends when they leave' do
    keep(odalys)
    hall.do(odalys, 'class.drop')
    expect(hall.place.leader).to eq('odalys')
    hall.do(odalys, 'class.leave', { place: 'main' })
    expect(hall.place.leader).to be_nil
    expect(hall.world.restored('place/s1.main').to_h).to eq(hall.place.to_h)
  end
end
