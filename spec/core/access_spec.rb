# frozen_string_literal: true

require_relative '../core_helper'

# Written from the design (who reads which stream) and not from the code: person × situation × stream of a class, then
# person × board, slide, original and recording.
RSpec.describe Veranda::Core::Access do
  let(:odalys) { person(:odalys) }
  let(:stand_in) { Core::Person.new(id: 'alder', name: 'Alder', role: 'stand_in') }

  streams = { sitting: 'sitting/s1', staff: 'staff/s1', main: 'place/s1.main', waiting: 'place/s1.waiting', words: 'exchange/s1.main', questions: 'questions/s1', asked: 'asked/s1',
              own: 'own/s1.%s', own_of_another: 'own/s1.nils', board: 'board/b1', other_board: 'board/b2', closed_board: 'board/b4', staff_board: 'board/b3',
              farahs_board: 'board/b5', farahs_copy: 'board/c1', jonas_copy: 'board/c2',
              another_class: 'sitting/s2', another_board: 'board/elsewhere' }

  boards = [*Stage::PLAN[:boards], { id: 'b4', name: 'Only in class', audience: 'everyone', outside: 'closed' },
            { id: 'b5', name: 'For Farah and Oona', audience: 'people', people: %w[farah oona], outside: 'closed' }]
  situations = {
    planned: ->(stage, **plan) { stage.sitting(open: false, boards: boards, **plan) },
    open: ->(stage, **plan) { stage.with_copies(stage.sitting(boards: boards, **plan)) },
    ended: ->(stage, **plan) { stage.with_copies(stage.sitting(boards: boards, **plan)).tap { |hall| hall.do(stage.person(:odalys), 'class.end') } }
  }
  everything = %i[sitting staff main waiting words questions asked own board other_board closed_board staff_board farahs_board]
  in_class = %i[sitting main words questions own board other_board closed_board]
  hers = in_class + %i[farahs_board farahs_copy]
  everybodys = %i[farahs_copy jonas_copy]
  # Who, and what they read while the class is planned, open and over. Farah and Jonas were let in, Oona never came.
  table = {
    odalys: [everything, everything, everything], tomas: [everything, everything, everything],
    farah: [%i[waiting own], hers, hers - %i[closed_board farahs_board]],
    jonas: [%i[waiting own], in_class + [:jonas_copy], in_class + [:jonas_copy] - [:closed_board]],
    oona: [%i[waiting own], %i[waiting own], []]
  }

  table.each do |who, by_situation|
    situations.keys.zip(by_situation) do |situation, expected|
      it "#{who} while the class is #{situation}: #{expected.empty? ? 'nothing' : expected.join(', ')}" do
        hall = situations[situation].call(self)
        facts = [person(who), hall.state, hall.staff]
        names = expected.map { |name| format(streams.fetch(name), who) }
        expect(described_class::InClass.new(*facts).streams).to match_array(names)
        reads = streams.select { |_, name| described_class::InClass.new(*facts).reads?(format(name, who)) }.keys
        # Staff write to any stream of their class, also to those of single people, and may look at everybody's copies.
        besides = person(who).staff? ? [:own_of_another, *(everybodys unless situation == :planned)] : []
        expect(reads - besides).to match_array(expected)
        expect(besides - reads).to be_empty
      end
    end
  end

  # What was handed out: a copy for each who is there.
  def with_copies(hall)
    copies = [{ board: 'c1', person: 'farah' }, { board: 'c2', person: 'jonas' }]
    hall.tap { hall.do(odalys, 'class.give_copies', { board: 'b1', copies: copies }) }
  end

  # Who was in, and was turned out: what they read while the class goes on and after it.
  { 'class.send_to_wait' => [%i[waiting own], []], 'class.remove' => [[], []] }.each do |verb, by_situation|
    it "gives those who met #{verb} #{by_situation.first.empty? ? 'nothing' : by_situation.first.join(', ')}, and nothing after the class" do
      hall = situations[:open].call(self)
      hall.do(odalys, verb, { person: 'farah', place: 'main' })
      by_situation.each do |expected|
        facts = [person(:farah), hall.state, hall.staff]
        # By other doors only as long as the class goes on, and nobody else, whatever part they had.
        expect(%i[farah jonas odalys].select { |who| described_class.turned_out?(person(who), hall.state, hall.staff) }).to eq(hall.state.open? ? [:farah] : [])
        expect(described_class::InClass.new(*facts).streams).to match_array(expected.map { |name| format(streams.fetch(name), 'farah') })
        expect(streams.select { |_, name| described_class::InClass.new(*facts).reads?(format(name, 'farah')) }.keys).to match_array(expected)
        hall.do(odalys, 'class.end') if hall.state.open?
      end
    end
  end

  it 'keeps rehearsals for staff and stand-ins, and stand-ins out of classes' do
    rehearsal = sitting(rehearsal: true)
    expect(described_class::InClass.new(person(:farah), rehearsal.state, rehearsal.staff).streams).to be_empty
    expect(described_class::InClass.new(odalys, rehearsal.state, rehearsal.staff).streams).to include('board/b3')
    rehearsal.do(stand_in, 'class.join')
    expect(described_class::InClass.new(stand_in, rehearsal.state, rehearsal.staff).streams).to include('board/b1', 'place/s1.main')
    expect(described_class::InClass.new(stand_in, sitting.state, sitting.staff).streams).to be_empty
  end

  it 'tells those who are let in nothing of notes, cues, rules or boards for staff' do
    plan = Stage::PLAN.merge(steps: Stage::PLAN[:steps].map { |step| step.merge(notes: 'private words', rules: { draw: false }) })
    hall = sitting(**plan)
    readable = described_class::InClass.new(person(:farah), hall.state, hall.staff).streams
    told = JSON.generate(readable.grep_v(/board/).map { |name| [hall.world.state(name).view, hall.world.entries(name).map(&:body)] })
    expect(told).to include('Names', 'Crossing')
    expect(told).not_to match(/private words|Answers|b3|Fog drill|rules":\{"draw":false/)
  end

  it 'tells those who wait the hour and the host, and nothing of the plan' do
    hall = sitting(open: false)
    hall.do(person(:farah), 'class.join')
    readable = described_class::InClass.new(person(:farah), hall.state, hall.staff).streams
    told = JSON.generate(readable.map { |name| hall.world.state(name).view })
    expect(told).to include('Collision rules', 'Odalys Brandt')
    expect(told).not_to match(/b1|b3|Crossing|fog|Farah/)
  end

  describe 'outside of the live class' do
    open_board = { audience: 'everyone', outside: 'read', rehearsal_id: nil }
    variants = { read: open_board, work: open_board.merge(outside: 'work'), closed: open_board.merge(outside: 'closed'),
                 staff: open_board.merge(audience: 'staff'), hers: open_board.merge(audience: 'people', people: ['farah']), rehearsal: open_board.merge(rehearsal_id: 'r1') }
    expected = { odalys: variants.keys, farah: %i[read work hers], oona: %i[read work], stranger: [] }

    expected.each do |who, names|
      it "opens boards to #{who}: #{names.empty? ? 'none' : names.join(', ')}" do
        reader = who == :stranger ? nil : person(who)
        expect(variants.select { |_, board| described_class.board?(reader, board) }.keys).to match_array(names)
      end
    end

    it 'opens closed boards, and no others, to those who are in the class while it goes on' do
      open = variants.select { |_, board| described_class.board?(person(:farah), board, taught: true) }.keys
      expect(open).to match_array(%i[read work closed hers])
      expect(variants.any? { |_, board| described_class.board?(nil, board, taught: true) }).to be(false)
    end

    it 'gives stand-ins nothing' do
      expect(variants.any? { |_, board| described_class.board?(stand_in, board, taught: true) }).to be(false)
    end
  end

  it 'shows slides to those who read a board or watch a recording that shows them, and originals of documents to staff alone' do
    kinds = %w[document picture sound clip link]
    originals = ->(**seen) { kinds.select { |kind| described_class.original?(kind: kind, teaches: false, **seen) } }
    expect(described_class.slide?(teaches: false)).to be(false)
    expect(described_class.slide?(teaches: false, boards: true)).to be(true)
    expect(described_class.slide?(teaches: false, recorded: true)).to be(true)
    expect(originals.call).to be_empty
    expect(originals.call(boards: true)).to eq(%w[sound clip])
    expect(originals.call(recorded: true)).to eq(%w[sound clip])
    expect(kinds.all? { |kind| described_class.original?(kind: kind, teaches: true) }).to be(true)
  end

  it 'opens recordings to staff, to the course once shared, and to whoever holds a link' do
    who = { odalys: person(:odalys), farah: person(:farah), stranger: nil }
    opens = ->(**facts) { who.select { |_, reader| described_class.recording?(reader, **facts) }.keys }
    expect(opens.call(shared: false, link: false)).to eq([:odalys])
    expect(opens.call(shared: true, link: false)).to eq(%i[odalys farah])
    expect(opens.call(shared: false, link: true)).to eq(%i[odalys farah stranger])
    expect(opens.call(shared: true, link: true, rehearsal: true)).to eq([:odalys])
  end

  it 'shows in a recording what every student could read' do
    expect(described_class.recorded(sitting.state)).to match_array(%w[sitting/s1 questions/s1 place/s1.main exchange/s1.main board/b1 board/b2])
  end
end
