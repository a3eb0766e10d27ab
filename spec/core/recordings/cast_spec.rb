# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe Veranda::Core::Recordings::Cast do
  let(:people) do
    [{ id: 'o1', name: 'Odalys Brandt', staff: true }, { id: 'f7', name: 'Farah van Lind', staff: false }, { id: 'j3', name: 'jonas', staff: false },
     { id: 'b2', name: 'Odalys Green', staff: false }, { id: 'f7', name: 'Farah', staff: false }]
  end

  def cast(**edits) = described_class.new(people, Core::Recordings::Edits.from(edits))

  it 'calls everybody but staff by a number, by order of first coming, wherever they are named' do
    hidden = cast(names_hidden: true)
    expect(hidden.clean({ by: 'f7', name: 'Farah van Lind', undo: { f7: 2 }, people: %w[o1 j3 b2] }))
      .to eq({ by: 'student-1', name: 'Student 1', undo: { 'student-1': 2 }, people: %w[o1 student-2 student-3] })
    expect(hidden.clean('FARAH, farah van lind and Lind: ask Jonas, or jonas!')).to eq('Student 1, Student 1 and Student 1: ask Student 2, or Student 2!')
    # Staff keep their names, also where a student is called alike; of words that are in names as well the small ones stay.
    expect(hidden.clean('Odalys Brandt; Odalys; a green van; Farahs')).to eq('Odalys Brandt; Student 3; a green van; Farahs')
  end

  it 'says nothing of people who were left out' do
    out = cast(left_out: ['j3'])
    expect(out.clean({ hands: %w[f7 j3], floor: { person: 'j3' }, leader: 'j3', ops: [{ op: 'put', mark: { id: 'm', by: 'j3' } }, { op: 'remove', id: 'x' }] }))
      .to eq({ hands: %w[f7], floor: nil, leader: nil, ops: [{ op: 'remove', id: 'x' }] })
    expect(out.clean({ id: 'p', by: 'j3', text: 'x' })).to be_nil
    expect(out.clean('Ask Jonas')).to eq('Ask Somebody')
    expect(out.clean({ reactions: [{ person: 'j3', sign: 'agree' }], id: 'p' })).to eq({ id: 'p' })
  end

  it 'changes nothing where nothing is hidden' do
    facts = { by: 'f7', text: 'Farah' }
    expect(cast.clean(facts)).to equal(facts)
  end
end
