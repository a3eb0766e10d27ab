# frozen_string_literal: true

require_relative '../../core_helper'

RSpec.describe 'Breakout rooms' do
  let(:odalys) { person(:odalys) }
  let(:farah) { person(:farah) }
  let(:jonas) { person(:jonas) }
  let(:oona) { person(:oona) }
  let(:hall) { sitting }
  let(:plan) { { by: 'rooms', number: 2, way: 'deal', words: 'Roll for visibility.', minutes: 10 } }

  def rooms(*people) = people.each_with_index.map { |some, i| { id: "r#{i + 1}", name: "Room #{i + 1}", people: some } }

  def deal(*people, id: 'fog', **more)
    hall.do(odalys, 'rooms.deal', { id: id, name: 'Fog drill', step: 'crossing', plan: plan.merge(more), seed: 1, again: 0, bound: 0, says: [],
                                    rooms: rooms(*people) })
  end

  def boards_of(id) = [{ id: "#{id}--b", name: 'Fog' }]

  def open_rooms(id: 'fog', people: %w[farah jonas], rooms: hall.staff.activities[id][:rooms].map { |room| room[:id] })
    hall.do(odalys, 'rooms.open', { activity: id, rooms: rooms.map { |room| { id: room, boards: boards_of(room) } }, people: people })
  end

  def close(rooms = %w[r1 r2], people: %w[farah jonas oona], grace: 0)
    hall.do(odalys, 'rooms.time', { activity: 'fog', rooms: rooms, left: 0, grace: grace })
    hall.do(odalys, 'rooms.bring_back', { activity: 'fog', rooms: rooms, people: people })
  end

  def where(id) = hall.state.seats[id].place
  def streams(who) = Core::Access::InClass.new(who, hall.state, hall.staff, hall.own(who.id)).streams
  def draw(by, board, id) = Stage::Track.new("board/#{board}", hall.world).do(by, 'board.put', { marks: [box(id, 10, 10)] })

  it 'is dealt with staff alone knowing of it, until rooms open' do
    deal(%w[farah], %w[jonas])
    expect(hall.staff.activities['fog']).to include(state: 'dealt', name: 'Fog drill')
    expect(hall.state.places.map { |place| place[:id] }).to eq(%w[main])
    expect(streams(farah).grep(/r1/)).to be_empty
  end

  it 'takes everyone to their room, each a place with a board, words, rules and time of its own' do
    deal(%w[farah], %w[jonas])
    opened_at = open_rooms.at
    expect(%w[farah jonas].map { |id| where(id) }).to eq(%w[r1 r2])
    expect(hall.own('farah').place).to eq('r1')
    expect(hall.place('r1').room).to include(name: 'Room 1', words: 'Roll for visibility.', ends_at: opened_at + 600_000, warnings: [120, 60])
    expect(hall.place('r1').shown).to eq(board: 'r1--b', page: 'p1')
    expect(hall.place('r1').rules.for_all(:add)).to be(true)
    expect(streams(farah)).to include('place/s1.r1', 'exchange/s1.r1', 'board/r1--b')
    expect(streams(farah)).not_to include('place/s1.main', 'place/s1.r2', 'board/r2--b')
    expect(Core::Access::InClass.new(jonas, hall.state, hall.staff).reads?('board/r1--b')).to be(false)
  end

  it 'has rules of its own: who may not draw in the main room may do so in theirs, and the floor there is nobody elses' do
    hall.do(odalys, 'class.rule', { right: 'draw', allow: false })
    deal(%w[farah], %w[jonas])
    open_rooms
    expect { draw(farah, 'r1--b', 'm1') }.not_to raise_error
    expect { draw(farah, 'b1', 'm2') }.to refusing(:may_not_draw)
    hall.do(odalys, 'class.rule', { right: 'draw', allow: false }, on: 'place/s1.r1')
    expect { draw(farah, 'r1--b', 'm3') }.to refusing(:may_not_draw)
    expect { draw(jonas, 'r2--b', 'm4') }.not_to raise_error
  end

  it 'leaves hands and signals behind in the room that one goes out of' do
    hall.do(farah, 'class.raise_hand')
    deal(%w[farah], %w[jonas])
    open_rooms
    expect(hall.place.hands).to be_empty
  end

  it 'asks people to go, and takes along who has not gone in time' do
    deal(%w[farah], %w[jonas], ask: 20)
    open_rooms
    expect(%w[farah jonas].map { |id| where(id) }).to eq(%w[main main])
    expect(hall.own('farah').asked).to include(room: 'r1', name: 'Room 1')
    expect { hall.do(farah, 'rooms.go', { to: 'r2', from: 'main' }) }.to refusing(:may_not_choose)
    hall.do(farah, 'rooms.go', { to: 'r1', from: 'main' })
    expect(hall.own('farah').asked).to be_nil
    expect(hall.do(odalys, 'rooms.gather', { people: %w[jonas] })).to be_nil
    hall.clock += 20_000
    hall.do(odalys, 'rooms.gather', { people: %w[jonas] })
    expect([where('farah'), where('jonas')]).to eq(%w[r1 r2])
  end

  it 'lets people choose as far as there is room' do
    deal([], [], way: 'choice', limit: 1)
    open_rooms
    hall.do(farah, 'rooms.go', { to: 'r1', from: 'main' })
    expect { hall.do(jonas, 'rooms.go', { to: 'r1', from: 'main' }) }.to refusing(:room_full)
    hall.do(jonas, 'rooms.go', { to: 'r2', from: 'main' })
    expect(hall.staff.activities['fog'][:rooms].map { |room| room[:people] }).to eq([%w[farah], %w[jonas]])
    expect { hall.do(oona, 'rooms.go', { to: 'r1', from: 'main' }) }.to refusing(:not_here)
  end

  it 'takes latecomers to the room they were dealt to, those nobody expected to the smallest, and who comes back to theirs' do
    deal(%w[farah oona], %w[jonas])
    open_rooms
    hall.do(oona, 'class.join')
    expect(where('oona')).to eq('r1')
    hall.do(farah, 'class.leave', { place: 'r1' })
    hall.do(farah, 'class.join')
    expect(where('farah')).to eq('r1')
    stranger = Core::Person.new(id: 'nils', name: 'Nils Okafor', role: 'student')
    hall.do(stranger, 'class.join')
    expect(where('nils')).to eq('r2')
    expect(hall.staff.activities.room_for('nils')).to eq('r2')
  end

  it 'brings everyone back when time and grace are over and not before, and gives what was made to those who sat there' do
    deal(%w[farah], %w[jonas])
    open_rooms
    expect(hall.do(odalys, 'rooms.bring_back', { activity: 'fog', rooms: %w[r1 r2], people: %w[farah jonas] })).to be_nil
    hall.do(odalys, 'rooms.time', { activity: 'fog', rooms: %w[r1 r2], left: 0, grace: 30 })
    expect(hall.do(odalys, 'rooms.bring_back', { activity: 'fog', rooms: %w[r1 r2], people: %w[farah jonas] })).to be_nil
    hall.clock += 30_000
    hall.do(odalys, 'rooms.bring_back', { activity: 'fog', rooms: %w[r1 r2], people: %w[farah jonas] })
    expect(%w[farah jonas].map { |id| where(id) }).to eq(%w[main main])
    expect(hall.state.places.length).to eq(1)
    expect(hall.state.activities.last).to include(name: 'Fog drill', rooms: [{ id: 'r1', name: 'Room 1' }, { id: 'r2', name: 'Room 2' }])
    expect(hall.own('farah').rooms).to match([hash_including(title: 'Fog drill', name: 'Room 1', boards: boards_of('r1'))])
    expect(streams(farah)).to include('board/r1--b')
    expect(streams(farah)).not_to include('board/r2--b', 'exchange/s1.r1')
    expect { draw(farah, 'r1--b', 'late') }.to refusing(:room_closed)
    expect { draw(odalys, 'r1--b', 'hers') }.not_to raise_error
  end

  it 'gives more time, holds open, and does neither once rooms are closed' do
    deal(%w[farah], %w[jonas])
    ends_at = open_rooms.at + 600_000
    hall.do(odalys, 'rooms.time', { activity: 'fog', rooms: %w[r1], more: 120 })
    expect(hall.place('r1').room[:ends_at]).to eq(ends_at + 120_000)
    expect(hall.place('r2').room[:ends_at]).to eq(ends_at)
    hall.do(odalys, 'rooms.time', { activity: 'fog', rooms: %w[r1 r2], hold: true })
    hall.clock += 3_600_000
    expect(hall.do(odalys, 'rooms.bring_back', { activity: 'fog', rooms: %w[r1 r2], people: %w[farah jonas] })).to be_nil
    close
    expect { hall.do(odalys, 'rooms.time', { activity: 'fog', rooms: %w[r1], more: 60 }) }.to refusing(:rooms_closed)
    expect { hall.do(odalys, 'rooms.time', { activity: 'fog', rooms: %w[r1], more: 60, hold: true }) }.to refusing(:rooms_closed)
  end

  it 'moves people while rooms are open, unless they have just gone elsewhere' do
    deal(%w[farah jonas], [])
    open_rooms
    move = ->(person, from, to) { hall.do(odalys, 'rooms.assign', { activity: 'fog', moves: [{ person: person, from: from, room: to }] }) }
    move.call('farah', 'r1', 'r2')
    expect([where('farah'), hall.staff.activities.room_for('farah')]).to eq(%w[r2 r2])
    expect { move.call('farah', 'r1', nil) }.to refusing(:moved_on)
    expect { move.call('farah', 'r2', 'r9') }.to refusing(:no_such_room)
    move.call('farah', 'r2', nil)
    hall.do(farah, 'class.leave', { place: 'main' })
    hall.do(farah, 'class.join')
    expect(where('farah')).to eq('main')
    expect(hall.do(odalys, 'rooms.gather', { people: %w[farah] })).to be_nil
  end

  it 'moves who has dropped, and they come back to where they were put' do
    deal(%w[farah jonas], [])
    open_rooms
    hall.do(farah, 'class.drop')
    hall.do(odalys, 'rooms.assign', { activity: 'fog', moves: [{ person: 'farah', from: 'r1', room: 'r2' }] })
    hall.do(farah, 'class.join')
    expect(where('farah')).to eq('r2')
  end

  it 'takes a room away with people in it, who go to the smallest of the others, and keeps what they made' do
    deal(%w[farah], %w[jonas])
    open_rooms
    expect { hall.do(odalys, 'rooms.remove', { activity: 'fog', room: 'r1', people: [] }) }.to refusing(:moved_on)
    hall.clock += 10_000
    hall.do(odalys, 'rooms.remove', { activity: 'fog', room: 'r1', people: %w[farah] })
    expect(where('farah')).to eq('r2')
    expect(hall.staff.activities.room('r1')).to include(open: false, sat: %w[farah])
    expect(streams(farah)).to include('board/r1--b', 'board/r2--b')
    expect { hall.do(odalys, 'rooms.remove', { activity: 'fog', room: 'r2', people: %w[farah jonas] }) }.to refusing(:only_room)
  end

  it 'adds and names rooms before and while they are open' do
    deal(%w[farah], %w[jonas])
    hall.do(odalys, 'rooms.rename', { activity: 'fog', room: 'r1', name: 'Pell' })
    open_rooms
    expect(hall.state.places.last(2)).to match([hash_including(id: 'r1', name: 'Pell'), hash_including(id: 'r2')])
    hall.do(odalys, 'rooms.rename', { activity: 'fog', room: 'r2', name: 'Marram' })
    expect([hall.place('r2').room[:name], hall.state.places.last[:name]]).to eq(%w[Marram Marram])
    hall.do(odalys, 'rooms.add', { activity: 'fog', room: 'r3', name: 'Sable', boards: boards_of('r3'), ends_at: nil })
    hall.do(odalys, 'rooms.assign', { activity: 'fog', moves: [{ person: 'farah', from: 'r1', room: 'r3' }] })
    expect([where('farah'), hall.place('r3').shown[:board]]).to eq(['r3', 'r3--b'])
  end

  it 'takes those to the smallest who are here and were in no room when people were dealt, but for those whom staff took out' do
    hall.do(oona, 'class.join')
    deal(%w[nils ines], %w[farah])
    hall.do(odalys, 'rooms.assign', { activity: 'fog', moves: [{ person: 'oona', room: nil }] })
    open_rooms(people: %w[farah jonas nils ines oona odalys])
    expect(%w[farah jonas oona odalys].map { |id| where(id) }).to eq(%w[r2 r2 main main])
    expect(hall.staff.activities.room_for('jonas')).to eq('r2')
    close(people: %w[farah jonas])
    deal([], [], id: 'own', way: 'choice')
    open_rooms(id: 'own', people: %w[farah jonas])
    expect(where('farah')).to eq('main')
  end

  it 'lets staff step in and out, which answers a call' do
    deal(%w[farah], %w[jonas])
    open_rooms
    expect { hall.do(jonas, 'room.call', { on: true }, on: 'place/s1.r1') }.to refusing(:not_here)
    hall.do(farah, 'room.call', { on: true }, on: 'place/s1.r1')
    expect(hall.place('r1').call).to include(person: 'farah')
    expect(hall.do(farah, 'room.call', { on: true }, on: 'place/s1.r1')).to be_nil
    hall.do(odalys, 'rooms.step_in', { to: 'r1', from: 'main' })
    expect([hall.place('r1').call, where('odalys')]).to eq([nil, 'r1'])
    expect { hall.do(farah, 'rooms.step_in', { to: 'r2', from: 'r1' }) }.to refusing(:staff_only)
    hall.do(odalys, 'rooms.step_in', { to: 'main', from: 'r1' })
    expect(hall.state.sat('r1', hall.clock)).to eq(%w[farah])
  end

  it 'is read by staff while they are in it, and from outside only where its doors are open, which is told inside' do
    reads = -> { %w[r1 r2].map { |room| Core::Access::InClass.new(odalys, hall.state, hall.staff).reads?("exchange/s1.#{room}") } }
    deal(%w[farah], %w[jonas])
    open_rooms
    hall.do(odalys, 'rooms.step_in', { to: 'r1', from: 'main' })
    expect([reads.call, streams(odalys).grep(/exchange/)]).to eq([[true, false], %w[exchange/s1.main exchange/s1.r1]])
    expect([hall.place('r1').room.values_at(:read, :quiet), streams(odalys)]).to match([[false, false], include('place/s1.r2')])
    hall.do(odalys, 'rooms.step_in', { to: 'main', from: 'r1' })
    close
    expect(reads.call).to eq([true, true])
    deal(%w[farah], %w[jonas], id: 'again', open_doors: true, unannounced: true)
    open_rooms(id: 'again')
    expect([reads.call, hall.place('r1').room.values_at(:read, :quiet)]).to eq([[true, true], [true, true]])
  end

  it 'begins with copies of the boards chosen for it, and is given more while it is open' do
    choose = ->(room, from) { hall.do(odalys, 'rooms.choose_boards', { activity: 'fog', room: room, from: from }) }
    deal(%w[farah], %w[jonas])
    choose.call('r1', %w[b2])
    choose.call('r2', [])
    expect(hall.staff.activities['fog'][:rooms].map { |room| room[:from] }).to eq([%w[b2], []])
    expect(choose.call('r2', [])).to be_nil
    choose.call('r2', nil)
    expect { choose.call('r1', %w[b3]) }.to refusing(:no_such_board)
    open_rooms
    expect { choose.call('r1', nil) }.to refusing(:rooms_were_open)
    board = { id: 'r1--more', name: 'Names', first_page: 'p1' }
    hall.do(odalys, 'rooms.give', { activity: 'fog', rooms: [{ id: 'r1', board: board }] })
    expect([hall.place('r1').room[:boards].last, hall.place('r1').shown[:board]]).to eq([board, 'r1--more'])
    expect(streams(farah)).to include('board/r1--more')
    expect(streams(jonas)).not_to include('board/r1--more')
    expect { draw(farah, 'r1--more', 'm1') }.not_to raise_error
    18.times { |i| hall.do(odalys, 'rooms.give', { activity: 'fog', rooms: [{ id: 'r1', board: board.merge(id: "r1--#{i}") }] }) }
    expect { hall.do(odalys, 'rooms.give', { activity: 'fog', rooms: [{ id: 'r1', board: board.merge(id: 'r1--z') }] }) }.to refusing(:too_many_boards)
  end

  it 'is shared with all of the class once it is closed, if staff share it, also after the class' do
    reads = ->(who) { Core::Access::InClass.new(who, hall.state, hall.staff).reads?('board/r1--b') }
    share = ->(on) { hall.do(odalys, 'rooms.share', { activity: 'fog', room: 'r1', on: on }) }
    deal(%w[farah], %w[jonas])
    open_rooms
    share.call(true)
    expect(reads.call(jonas)).to be(false)
    close
    expect([farah, jonas].map { |who| reads.call(who) }).to eq([true, true])
    expect(Core::Access.recorded_rooms(hall.staff.activities['fog'], 'jonas', teaches: false).map { |room| room[:id] }).to eq(%w[r1 r2])
    expect(Core::Access.recorded_rooms(hall.staff.activities['fog'], nil, teaches: false)).to be_empty
    hall.do(odalys, 'class.end')
    share.call(false)
    expect([farah, jonas].map { |who| reads.call(who) }).to eq([true, false])
    expect { hall.do(farah, 'rooms.share', { activity: 'fog', room: 'r1', on: true }) }.to refusing(:staff_only)
  end

  it 'names who leads it, and keeps what was made in it for those who sat there when it is merged' do
    deal(%w[farah], %w[jonas], wishes: [{ kind: 'lead', people: %w[farah jonas] }])
    open_rooms
    expect(hall.place('r1').room[:leaders]).to eq(%w[farah jonas])
    hall.do(odalys, 'rooms.remove', { activity: 'fog', room: 'r1', people: %w[farah] })
    expect(where('farah')).to eq('r2')
    expect(hall.world.entries('own/s1.farah').select { |entry| entry.kind == 'room_kept' }.map { |entry| entry.body[:room] }).to eq(%w[r1])
  end

  it 'shows its own board and those for everyone, and no other room its board' do
    deal(%w[farah], %w[jonas])
    open_rooms
    show = ->(board, room) { hall.do(odalys, 'class.show', { board: board, page: 'p1' }, on: "place/s1.#{room}") }
    show.call('b1', 'r1')
    expect(hall.place('r1').shown[:board]).to eq('b1')
    show.call('r1--b', 'r1')
    expect(hall.place('r1').shown[:board]).to eq('r1--b')
    %w[r2 main].each { |room| expect { show.call('r1--b', room) }.to refusing(:board_for_staff) }
    expect { show.call('b3', 'r1') }.to refusing(:board_for_staff)
  end

  it 'announces to every room' do
    deal(%w[farah], %w[jonas])
    open_rooms
    hall.do(odalys, 'rooms.announce', { activity: 'fog', rooms: %w[r1 r2], id: 'a1', words: 'Five minutes more.' })
    expect(%w[r1 r2].map { |id| hall.place(id).announced.map { |said| said[:words] } }).to eq([['Five minutes more.']] * 2)
    expect { hall.do(farah, 'rooms.announce', { activity: 'fog', rooms: %w[r1], id: 'a2', words: 'Psst' }) }.to refusing(:staff_only)
  end

  it 'opens once though two open at once, and one activity at a time' do
    deal(%w[farah], %w[jonas])
    open_rooms
    expect(open_rooms).to be_nil
    deal(%w[farah], %w[jonas], id: 'other')
    expect { open_rooms(id: 'other') }.to refusing(:rooms_open)
    expect { deal(%w[farah], %w[jonas]) }.to refusing(:rooms_open)
  end

  it 'is not dealt anew under the id of rooms that were open: what was made in them is kept' do
    deal(%w[farah], %w[jonas])
    open_rooms
    hall.clock += 10_000
    close
    expect { deal(%w[jonas], %w[farah]) }.to refusing(:rooms_were_open)
    expect(hall.staff.board('r1--b')).to include(sat: %w[farah])
    expect(streams(farah)).to include('board/r1--b')
  end

  it 'refuses somebody in two rooms' do
    expect { deal(%w[farah jonas], %w[jonas]) }.to refusing(:in_two_rooms)
  end

  it 'opens again with the same people and work' do
    deal(%w[farah], %w[jonas])
    open_rooms
    draw(farah, 'r1--b', 'm1')
    hall.clock += 30_000
    close
    open_rooms
    expect([where('farah'), where('jonas')]).to eq(%w[r1 r2])
    expect(hall.world.state('board/r1--b').marks.keys).to eq(%w[m1])
    expect(hall.place('r1').room[:closed]).to be(false)
  end

  it 'ends with the class: everyone keeps the board of the room they sat in' do
    deal(%w[farah], %w[jonas])
    open_rooms
    hall.do(odalys, 'class.end')
    expect(hall.state.places.length).to eq(1)
    expect(streams(farah)).to include('board/r1--b')
    expect(streams(farah)).not_to include('board/r2--b')
  end

  it 'is the same folded afresh and from a snapshot' do
    deal(%w[farah], %w[jonas])
    open_rooms
    hall.do(farah, 'room.call', { on: true }, on: 'place/s1.r1')
    hall.do(odalys, 'rooms.announce', { activity: 'fog', rooms: %w[r1 r2], id: 'a1', words: 'Soon.' })
    %w[sitting/s1 staff/s1 place/s1.r1 own/s1.farah].each do |name|
      whole = JSON.generate(hall.world.state(name).to_h)
      expect(JSON.generate(hall.world.refolded(name).to_h)).to eq(whole)
      expect(JSON.generate(hall.world.restored(name).to_h)).to eq(whole)
    end
  end

  it 'hears one who teaches in every room, from the main room and for as long as they are there and rooms are open' do
    deal(%w[farah], %w[jonas], staff: true)
    say = ->(who, **input) { hall.do(who, 'rooms.address', { voice: true, screen: false, **input }) }
    expect { say.call(odalys) }.to refusing(:rooms_closed)
    open_rooms
    expect { say.call(farah) }.to refusing(:staff_only)
    say.call(odalys)
    expect(hall.state.address).to include(person: 'odalys', voice: true, screen: false)
    expect(say.call(odalys)).to be_nil
    expect { say.call(odalys, screen: true) }.to refusing(:no_screen)
    hall.do(odalys, 'class.share_screen', { on: true })
    say.call(odalys, screen: true)
    # What is not shared any more is in no room either.
    hall.do(odalys, 'class.share_screen', { on: false })
    expect(hall.state.address).to include(voice: true, screen: false)
    hall.do(odalys, 'rooms.step_in', { to: 'r1', from: 'main' })
    expect(hall.state.address).to be_nil
    expect { say.call(odalys) }.to refusing(:not_here)
    hall.do(odalys, 'rooms.step_in', { to: 'main', from: 'r1' })
    say.call(odalys)
    close
    expect(hall.state.address).to be_nil
  end

  it 'pauses the recording while rooms are open where that is planned, unless somebody switches it meanwhile' do
    stretches = -> { hall.state.stretches.map { |stretch| stretch[:to].nil? } }
    hall.do(odalys, 'class.record', { on: true })
    deal(%w[farah], %w[jonas], unrecorded: true)
    open_rooms
    expect(hall.state).not_to be_recording
    close(%w[r1])
    expect(hall.state).not_to be_recording
    close(%w[r2])
    expect(stretches.call).to eq([false, true])
    # By hand it is as they wish.
    deal(%w[farah], %w[jonas], id: 'again', unrecorded: true)
    open_rooms(id: 'again')
    hall.do(odalys, 'class.record', { on: true })
    hall.do(odalys, 'class.record', { on: false })
    hall.do(odalys, 'rooms.time', { activity: 'again', rooms: %w[r1 r2], left: 0, grace: 0 })
    hall.do(odalys, 'rooms.bring_back', { activity: 'again', rooms: %w[r1 r2], people: %w[farah jonas] })
    expect(hall.state).not_to be_recording
    # Nothing was recorded, so nothing goes on.
    deal(%w[farah], %w[jonas], id: 'third', unrecorded: true)
    open_rooms(id: 'third')
    hall.do(odalys, 'rooms.time', { activity: 'third', rooms: %w[r1 r2], left: 0, grace: 0 })
    hall.do(odalys, 'rooms.bring_back', { activity: 'third', rooms: %w[r1 r2], people: %w[farah jonas] })
    expect(hall.state).not_to be_recording
  end
end
