# frozen_string_literal: true

require 'bigdecimal'
require 'csv'

module Veranda
  module Core
    module Polls
      # What was shown to all of the answers to a poll, as a row for each answer: words, and how often it was given.
      # `web/src/polls/page/rows.ts` has the same.
      module ShownResults
        # Of a number that are told.
        DIGITS = 6
        HEAD = %w[question round answer count right].freeze
        SAYS = { true => 'yes', false => 'no' }.freeze

        module_function

        # @param question [Hash] see {Question}
        # @param shown [Hash] see {Poll#shown}
        # @return [Array<Hash>] `{ words:, count:, right: }`, `right` nil where that was not told
        def rows(question, shown)
          tally = shown[:tally]
          return options(question, shown) if tally[:options]
          return points(question, tally) if tally[:places]
          return tally[:groups].map { |row| row.slice(:words, :count) } if tally[:groups]
          return tally[:points].map { |row| { words: row[:point].to_s, count: row[:count] } } if tally[:points]

          (tally[:bins] || []).map { |row| { words: between(*row.values_at(:from, :to)), count: row[:count] } }
        end

        # @param polls [Array<Array(Hash, Hash)>] questions, each with what was shown of its answers
        # @return [String] RFC 4180; no cell is taken for a formula
        def csv(polls)
          CSV.generate(row_sep: "\r\n") do |csv|
            csv << HEAD
            polls.each do |question, shown|
              rows(question, shown).each do |row|
                csv << [question[:text], shown[:round], row[:words], row[:count], SAYS[row[:right]]].map { |cell| Cell.plain(cell.to_s) }
              end
            end
          end
        end

        def options(question, shown)
          right = shown.dig(:right, :options)
          texts = texts(question)
          shown[:tally][:options].map { |row| { words: texts[row[:id]] || row[:id], count: row[:count], right: right&.include?(row[:id]) } }
        end
        private_class_method :options

        def points(question, tally)
          texts = texts(question)
          tally[:places].map { |row| { words: "#{texts[row[:option]] || row[:option]} (points)", count: row[:points] } }
        end
        private_class_method :points

        def texts(question) = Question.options(question).to_h { |option| option.values_at(:id, :text) }
        private_class_method :texts

        def between(from, to) = from == to ? plain(from) : "#{plain(from)} to #{plain(to)}"
        private_class_method :between

        # Without noise of its last places.
        def plain(number)
          number = BigDecimal(number, DIGITS)
          number.frac.zero? ? number.to_i.to_s : number.to_s('F')
        end
        private_class_method :plain
      end
    end
  end
end
