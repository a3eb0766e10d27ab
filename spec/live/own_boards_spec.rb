# frozen_string_literal: true

require_relative '../spec_helper'

RSpec.describe 'Boards of one’s own' do
  it 'are all known to the class, when several are made at the same moment on two processes' do
    made = fresh_class
    servers = [Server.shared, Server.new]
    perform('odalys', 'class.rule', "place/#{made[:sitting]}.main", right: 'add', allow: true)
    who = %w[farah jonas nils hana keiko mirela]
    who.each { |one| perform(one, 'class.join', "sitting/#{made[:sitting]}") }
    visitors = who.each_with_index.map { |one, i| VisitorClient.new(servers[i % 2], as: one) }
    8.times do |turn|
      answers = visitors.map { |one| Thread.new { one.post("/api/classes/#{made[:sitting]}/own-boards", { name: "Mine #{turn}" }) } }.map(&:value)
      expect(answers.map(&:status).uniq).to eq([201])
      expect(known(made)).to match_array(ARCHIVE.sittings.board_facts(made[:lesson]))
    end
    # Whoever made them has told of them: nobody else has to.
    expect(ARCHIVE.errands.waiting("tell_boards #{made[:lesson]}")).to be_nil
  end

  it 'are known to the class also where the process died before it told of them' do
    made = fresh_class
    id = ARCHIVE.lessons.add_own(made[:lesson], 'farah', name: 'Mine')
    CarriedErrands.without do
      expect(known(made).map { |board| board[:id] }).not_to include(id)
      ARCHIVE.db[:errands].where(key: "tell_boards #{made[:lesson]}").update(due_at: Time.now - 1)
      Veranda::Preparing::Errands.new(ARCHIVE).call
    end
    until_true('the class knows of it') { known(made).find { |board| board[:id] == id }&.fetch(:name) == 'Mine' }
  end

  it 'and others of a rehearsal are told of what they are called, and for whom' do
    made = fresh_class
    staff = VisitorClient.new(Server.shared, as: 'odalys')
    sitting = Veranda::Preparing::Classes.new(ARCHIVE).rehearsal(ARCHIVE.lessons.fetch(made[:lesson]))
    board = ARCHIVE.lessons.boards(made[:lesson], rehearsal_id: sitting).first[:id]
    expect(staff.patch("/api/boards/#{board}", { name: 'Practised upon' }).status).to eq(200)
    expect(ARCHIVE.log.state("staff/#{sitting}").first.boards.find { |one| one[:id] == board }[:name]).to eq('Practised upon')
    expect(known(made).map { |one| one[:name] }).not_to include('Practised upon')
  end

  def known(made) = ARCHIVE.log.state("staff/#{made[:sitting]}").first.boards
end
