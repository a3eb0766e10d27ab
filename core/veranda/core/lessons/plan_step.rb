# frozen_string_literal: true

require 'dry/schema'

module Veranda
  module Core
    module Lessons
      # What may be written into a step of a plan, and the sense it has to make.
      module PlanStep
        # What is large for everyone in a step: the paper, the people, or the words.
        LEADS = %w[paper people words].freeze

        FIELDS = Contract.define do
          optional(:title).value(:string, max_size?: 120)
          optional(:minutes).value(:integer, gteq?: 0, lteq?: 600)
          optional(:shortest).value(:integer, gteq?: 0, lteq?: 600)
          optional(:notes).value(:string, max_size?: 4000)
          optional(:board).maybe(Types::ID)
          optional(:material).maybe(Types::ID)
          optional(:leads).value(:string, included_in?: LEADS)
          optional(:rules).maybe(:hash) { Rights::RIGHTS.each_key { |right| optional(right).value(:bool) } }
          optional(:cues).value(:array, max_size?: Cues::MOST).each { hash(Cues::CONTRACT) }
        end

        module_function

        # @param text [String, nil]
        # @return [String]
        # @raise [Refusal] `step_untitled`
        def titled(text)
          Title.clean(text.to_s)
        rescue Refusal
          raise Refusal.new(:step_untitled, 'Every step needs a title.')
        end

        # @param step [Hash] as it would be
        # @raise [Refusal] `step_untitled`, `step_too_short`
        def check!(step)
          titled(step[:title])
          return unless step[:shortest] > step[:minutes]

          raise Refusal.new(:step_too_short, "“#{step[:title]}” has fewer minutes than its shortest.")
        end

        # @param step [Hash]
        # @param boards [Array<String>] ids of the lesson's boards
        # @raise [Refusal] `no_such_board`
        def on_boards!(step, boards)
          step[:cues]&.each { |cue| Cues.check!(cue, boards) }
          return if step[:board].nil? || boards.include?(step[:board])

          raise Refusal.new(:no_such_board, 'The board of this step is not in this lesson.')
        end
      end
    end
  end
end
