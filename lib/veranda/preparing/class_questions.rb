# frozen_string_literal: true

require 'csv'
require 'time'

module Veranda
  module Preparing
    # What was asked in a class: which of it is somebody's own, and all of it as a table.
    class ClassQuestions
      HEAD = %w[asked by question votes state answered answer].freeze

      # @param archive [Store::Archive]
      # @param sitting_id [String]
      def initialize(archive, sitting_id)
        @log = archive.log
        @stream = Core::Streams::StreamName.questions(sitting_id)
        @asked = Core::Streams::StreamName.asked(sitting_id)
      end

      # @param person [String] id
      # @return [Hash] `{ own:, up: }`, ids of the questions that somebody asked, and voted for
      def mine(person)
        votes = @log.ballots.all_mine(@stream, person)
        by_number = (questions + waiting).to_h { |question| question.values_at(:number, :id) }
        ids = ->(value) { votes.select { |_, vote| vote == value }.keys.filter_map { |number| by_number[number] } }
        { own: ids.call(Core::Questions::Vote::OWN), up: ids.call(Core::Questions::Vote::UP) }
      end

      # @return [String] CSV (RFC 4180), those of staff too; no cell is taken for a formula
      def table
        CSV.generate(row_sep: "\r\n") do |csv|
          csv << HEAD
          (questions + waiting).sort_by { |question| question[:number] }.each { |question| csv << row(question) }
        end
      end

      # @return [Array<Hash>] what everyone could read
      def questions = state(@stream).all.values

      # @return [Array<Hash>] what staff have yet to review
      def to_review = waiting.select { |question| question[:state] == 'waiting' }

      private

      def state(name) = @log.state(name).first

      # Those that were not let through.
      def waiting = state(@asked).all.values.reject { |question| question[:state] == 'passed' }

      def row(question)
        cells = [question[:name] || '', question[:text], question[:votes].to_s, question[:state]]
        answered = [time(question[:answered_at]), question[:answer]].map(&:to_s)
        [time(question[:at]), *[*cells, *answered].map { |cell| Core::Cell.plain(cell) }]
      end

      def time(at) = at && Time.at(at/1000r).utc.iso8601
    end
  end
end
