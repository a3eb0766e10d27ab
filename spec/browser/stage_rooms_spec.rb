# frozen_string_literal: true

require_relative '../spec_helper'

# Sound and picture in breakout rooms: each has its own, and whoever teaches hears one from outside and speaks to all.
RSpec.describe 'The stage in rooms', type: :journey do
  include Browsers
  include OnStage

  let(:media) { @media ||= Media.new }
  let(:server) { @server ||= Server.new(more: media.told) }
  let(:sitting) { fresh_class[:sitting] }

  before { Worker.shared }

  after do
    close_browsers
    @server&.stop
    @media&.stop
  end

  def open_rooms(**plan)
    rooms = VisitorClient.new(server, as: 'odalys')
    path = "/api/classes/#{sitting}/rooms"
    id = rooms.post(path,
                    { plan: { by: 'rooms', number: 2, words: 'Listen.', wishes: [{ kind: 'apart', people: %w[farah jonas] }], minutes: 5, grace: 0, **plan }, name: 'Drill',
                      step: 'one' }).body['activity']
    expect(rooms.post("#{path}/#{id}/open").status).to eq(200)
    ARCHIVE.log.state("sitting/#{sitting}").first.places.select { |place| place[:activity] }
  end

  def place_of(who) = ARCHIVE.log.state("sitting/#{sitting}").first.seats[who].place
  def name_of(place) = ARCHIVE.log.state("sitting/#{sitting}").first.places.find { |one| one[:id] == place }[:name]

  it 'is each room’s own; one is heard from outside, and all are spoken to' do
    %w[hana nils].each { |who| Wire.join(server, who, { sitting: sitting }) }
    odalys, farah, jonas = %i[odalys farah jonas].map { |who| enter(who) }
    perform('odalys', 'class.record', "sitting/#{sitting}", on: true)
    open_rooms(open_doors: true, recorded: true)
    [farah, jonas].each { |session| expect(session).to have_css('[aria-label^="Room "]') }
    expect(place_of('farah')).not_to eq(place_of('jonas'))
    switch_on(farah, 'Microphone', 'Camera')
    sleep 2
    [odalys, jonas].each { |session| expect(coming(session, 'audio')).to eq(0) }

    odalys.click_button('Walk round')
    odalys.click_button("Hear: #{name_of(place_of('farah'))}")
    until_true('her room is heard from outside') { heard?(odalys) }
    expect(farah).to have_text('Odalys hears you from outside')
    expect(jonas).to have_no_text('hears you from outside')
    expect(pictures(odalys)).to eq([])
    # Another is heard instead, and then none.
    odalys.click_button("Hear: #{name_of(place_of('jonas'))}")
    expect(jonas).to have_text('Odalys hears you from outside')
    expect(farah).to have_no_text('hears you from outside')
    until_true('her room is heard no more') { coming(odalys, 'audio').zero? }
    odalys.click_button("Hear: #{name_of(place_of('jonas'))}")
    expect(jonas).to have_no_text('hears you from outside')

    switch_on(odalys, 'Microphone', 'Camera')
    sleep 1
    expect(coming(jonas, 'audio')).to eq(0)
    odalys.click_button('Speak to every room')
    expect(farah).to have_text('Odalys speaks to every room.')
    [farah, jonas].each do |session|
      until_true('she is heard in every room') { heard?(session) }
      until_true('and seen') { pictures(session).any? }
    end
    # Muted, she is heard nowhere.
    odalys.click_button('Mute')
    until_true('nobody hears her') { coming(jonas, 'audio').zero? }
    odalys.click_button('Microphone')
    until_true('all hear her') { coming(jonas, 'audio').positive? }
    odalys.execute_script("localStorage.setItem('veranda.screen', 'simulated')")
    odalys.click_button('Share')
    odalys.click_button('Screen in every room')
    [farah, jonas].each do |session|
      expect(session).to have_css('video[aria-label="Picture of the screen of Odalys Brandt"]')
      until_true('the screen comes') { pictures(session).length == 2 }
    end
    odalys.click_button('Speak to every room')
    until_true('nobody hears her in rooms') { coming(jonas, 'audio').zero? }
    expect(farah).to have_text('Odalys shows a screen in every room.')
    odalys.click_button('End the share', match: :first)
    expect(farah).to have_no_text('every room')
    expect(farah).to have_no_css('video[aria-label^="Picture of the screen"]')
    until_true('nothing is left over') { coming(jonas, 'video').zero? }
    farah.click_button('Mute')
    until_true('it is known that she spoke') { spoken('farah') > 2_000 }
    in_which_room
    room = place_of('farah')
    perform('odalys', 'class.end', "sitting/#{sitting}")
    recorded(odalys, room)
    [odalys, farah, jonas].each { |session| expect(errors(session)).to eq([]) }
  end

  # What was said in a room is heard by those who sat in it and by whoever teaches; nobody else learns that it is there.
  def recorded(odalys, room)
    until_playable
    VisitorClient.new(server, as: 'odalys').patch("/api/recordings/#{sitting}", { shared: true })
    perform('odalys', 'rooms.share', "staff/#{sitting}", activity: ARCHIVE.log.state("staff/#{sitting}").first.activities.to_a.last[:id], room: room, on: true)
    own = ARCHIVE.db[:tracks].where(sitting_id: sitting, place: room).all
    expect(own.map { |track| track.values_at(:person_id, :kind) }.uniq).to contain_exactly(%w[farah sound], %w[farah picture])
    heard = %w[odalys farah jonas].to_h do |who|
      visitor = VisitorClient.new(server, as: who)
      listed = visitor.get("/api/recordings/#{sitting}").body['tracks'].count { |track| track['room'] == room }
      [who, [listed, visitor.get("/api/recordings/#{sitting}/tracks/#{own.first[:id]}").status]]
    end
    expect(heard).to eq('odalys' => [own.length, 200], 'farah' => [own.length, 200], 'jonas' => [0, 404])
    odalys.visit("#{server.address}/recordings/#{sitting}")
    odalys.find('[role=slider]').send_keys(:home, *([:right] * 3))
    odalys.click_button('In: Main room')
    odalys.find('[role=menuitem]', text: ARCHIVE.log.state("staff/#{sitting}").first.activities.room(room)[:name]).click
    expect(odalys).to have_css('[aria-label="Who was seen"] video[aria-label="Picture of Farah Lindqvist"]')
    expect(odalys).to have_css('[data-testid=track-sound]', visible: :all)
  end

  # ms
  def spoken(who)
    rows = VisitorClient.new(server, as: 'odalys').get("/api/classes/#{sitting}/places/#{place_of(who)}/heard").body['people']
    rows.find { |row| row['person'] == who }['spoken']
  end

  def in_which_room
    activity = ARCHIVE.log.state("staff/#{sitting}").first.activities.to_a.last[:id]
    pulse = VisitorClient.new(server, as: 'odalys').get("/api/classes/#{sitting}/rooms/#{activity}/pulse").body['rooms']
    expect(pulse.find { |row| row['room'] == place_of('farah') }['parts'].sum).to be_positive
    expect(pulse.find { |row| row['room'] == place_of('jonas') }['parts'].sum).to eq(0)
  end
end
