# frozen_string_literal: true

require 'csv'

module Veranda
  module Core
    module Recordings
      # What was said and written in a recording, one line after the other, to be kept elsewhere: as text, as CSV for spreadsheets, as
      # WebVTT. Times are those of the recording.
      #
      #   WrittenUp.new(rows, title: 'Tide height').to('txt')
      class WrittenUp
        FORMATS = %w[txt csv vtt].freeze
        HEAD = %w[time how name words].freeze
        # Names of how something was told.
        SAID = 'said'
        WROTE = 'wrote'
        # ms that a post stays for each of its letters, and at least and at most.
        PER_LETTER = 60
        STAYS = (2_000..8_000)

        # @param rows [Array<Hash>] `{ from:, to:, how:, name:, words:, lang: }`, ms; `to` of what was said alone
        # @param title [String]
        def initialize(rows, title:)
          @rows = rows.sort_by { |row| row[:from] }
          @title = title
        end

        # @param format [String] one of {FORMATS}
        # @return [String]
        def to(format) = public_send(format)

        # @return [String] those of several lines indented
        def txt
          lines = @rows.map do |row|
            who = row[:how] == SAID ? '' : "#{row[:name]}: "
            "#{stamp(row[:from])[0, 8]}  #{who}#{row[:words].gsub(/\R/, "\n          ")}"
          end
          [@title, '', *lines, ''].join("\n")
        end

        # @return [String] RFC 4180; no cell is taken for a formula
        def csv
          CSV.generate(row_sep: "\r\n") do |csv|
            csv << HEAD
            @rows.each do |row|
              csv << [stamp(row[:from])[0, 8], row[:how], *row.values_at(:name, :words).map do |cell|
                Cell.plain(cell.to_s)
              end]
            end
          end
        end

        # @return [String] W3C WebVTT, a cue for each
        def vtt
          cues = @rows.map do |row|
            to = row[:to] || (row[:from] + (row[:words].length * PER_LETTER).clamp(STAYS))
            voice = row[:how] == SAID ? '' : "<v #{escape(row[:name])}>"
            "#{stamp(row[:from])} --> #{stamp(to)}\n#{voice}#{escape(row[:words])}\n"
          end
          ["WEBVTT\n", *cues].join("\n")
        end

        private

        def stamp(time) = WebVtt.time(time, '.')

        # A cue ends with an empty line and knows tags and entities.
        def escape(text) = text.to_s.gsub('&', '&amp;').gsub('<', '&lt;').gsub('>', '&gt;').gsub(/\s*\R\s*/, "\n").strip
      end
    end
  end
end
