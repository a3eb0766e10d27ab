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
      expect(ARCHIVE.log.state("staff/#{made[:sitting]}").first.boards).to match_array(ARCHIVE.sittings.board_facts(made[:lesson]))
    end
  end
end
