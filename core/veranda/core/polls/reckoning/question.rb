# frozen_string_literal: true

require 'dry/schema'

module Veranda
  module Core
    module Polls
      # What is asked, as it is prepared in the bank or on the spot.
      #
      # - `kind`: one of {KINDS}
      # - `options`: of a choice or an order, `{ id:, text:, picture: }`; `fewest` and `most` of them that may be chosen
      # - `points` and `ends`: of a scale, how many and what the two ends are called
      # - `unit`, `low`, `high`: of a number
      # - `board` and `page`, or `picture`: what a spot is marked on
      # - `regions` of a page of a `board`, `{ id:, text:, x:, y:, w:, h: }` in px, in which `marks` are counted; of each person up to
      # `most`
      # - `right`: `options` (ids; in order, of an order), `words` (any of which is right), `number` with its `tolerance`, or `area`
      # - `names`: whether staff see who answered what; told before one answers
      # - `change`: whether answers may be changed until it is closed; `results`: when students see them, see {RESULTS}
      # - `seconds`: how long it stays open
      module Question
        CHOICES = %w[one several].freeze
        WITH_OPTIONS = [*CHOICES, 'order'].freeze
        WRITTEN = %w[short cloud].freeze
        KINDS = [*WITH_OPTIONS, *WRITTEN, 'yes_no', 'scale', 'number', 'spot', 'marks'].freeze
        # Counted from a board, where everyone knows whose they are.
        MARKS = 'marks'
        # When students see what was answered: `after` they have answered themselves.
        RESULTS = %w[never after shown].freeze

        MOST_OPTIONS = 30
        # Letters; longer is hard to read on a phone (of a question, of an option).
        LONGEST_TEXT = 400
        LONGEST_OPTION = 160
        EASY_TEXT = 140
        EASY_OPTION = 60
        # Of a scale.
        MOST_POINTS = 11
        USUAL_POINTS = 5

        PICTURE = Contract.define do
          required(:material).value(Types::ID)
          required(:version).value(:integer, gteq?: 1, lteq?: 10_000)
          required(:slide).value(:integer, gteq?: 1, lteq?: 10_000)
        end

        RIGHT = Contract.define do
          optional(:options).value(:array, min_size?: 1, max_size?: MOST_OPTIONS).each(Types::ID)
          optional(:words).value(:array, min_size?: 1, max_size?: 20).each(:string, max_size?: 200)
          optional(:number).value(Types::Number, :measure?)
          optional(:tolerance).value(Types::Number, :measure?)
          optional(:area).hash do
            %i[x y].each { |field| required(field).value(Types::Number, :coordinate?) }
            %i[w h].each { |field| required(field).value(Types::Number, :extent?) }
          end
        end

        REGION = Contract.define do
          required(:id).value(Types::ID)
          required(:text).value(:string, max_size?: EASY_OPTION)
          required(:x).value(Types::Number, :coordinate?)
          required(:y).value(Types::Number, :coordinate?)
          required(:w).value(Types::Number, :extent?)
          required(:h).value(Types::Number, :extent?)
        end

        CONTRACT = Contract.define do
          required(:kind).value(:string, included_in?: KINDS)
          required(:text).value(:string, max_size?: LONGEST_TEXT)
          optional(:picture).hash(PICTURE)
          optional(:options).value(:array, max_size?: MOST_OPTIONS).each do
            hash do
              required(:id).value(Types::ID)
              required(:text).value(:string, max_size?: LONGEST_OPTION)
              optional(:picture).hash(PICTURE)
            end
          end
          optional(:fewest).value(:integer, gteq?: 0, lteq?: MOST_OPTIONS)
          optional(:most).value(:integer, gteq?: 1, lteq?: MOST_OPTIONS)
          optional(:points).value(:integer, gteq?: 2, lteq?: MOST_POINTS)
          optional(:ends).value(:array, size?: 2).each(:string, max_size?: 40)
          optional(:unit).value(:string, max_size?: 20)
          optional(:low).value(Types::Number, :measure?)
          optional(:high).value(Types::Number, :measure?)
          optional(:board).value(Types::ID)
          optional(:page).value(Types::ID)
          optional(:regions).value(:array, max_size?: MOST_OPTIONS).each { hash(REGION) }
          optional(:right).hash(RIGHT)
          optional(:explanation).value(:string, max_size?: 1_000)
          optional(:seconds).value(:integer, gteq?: 5, lteq?: 3_600)
          optional(:names).value(:bool)
          optional(:change).value(:bool)
          optional(:results).value(:string, included_in?: RESULTS)
        end

        module_function

        # @param question [Hash]
        # @return [Array<String>] ids of the materials that its pictures are of
        def materials(question)
          [question, *question[:options]].filter_map { |one| one.dig(:picture, :material) if one.is_a?(Hash) }.uniq
        end

        # @param question [Hash]
        # @return [Array<Hash>] options, also those that a kind always has
        def options(question)
          return [{ id: 'yes', text: 'Yes' }, { id: 'no', text: 'No' }] if question[:kind] == 'yes_no'
          return (question[:regions] || []).map { |region| region.slice(:id, :text) } if question[:kind] == MARKS

          WITH_OPTIONS.include?(question[:kind]) ? question[:options] || [] : []
        end

        # @return [Array<Integer>] how many options one chooses at least and at most
        def bounds(question)
          count = options(question).length
          return [1, 1] unless question[:kind] == 'several'

          [question[:fewest] || 1, [question[:most] || count, count].min]
        end

        # @return [Boolean] whether staff never learn who answered what
        def nameless?(question) = question[:names] == false

        # @return [Boolean] whether an answer may be changed until the round is closed
        def changing?(question) = question[:change] != false

        # @return [Boolean] whether an answer can be right
        def graded?(question) = question.fetch(:right, {}).any?

        # @raise [Refusal] the first of {Doubts} with which nobody could answer
        def sound!(question)
          found = Doubts.of(question).find { |doubt| doubt[:grave] }
          raise Refusal.new(found[:code], found[:says]) if found
        end
      end
    end
  end
end
