# frozen_string_literal: true

require 'dry/schema'

module Veranda
  module Core
    module Lessons
      # What may be written into a lesson's form, and the sense it has to make.
      module LessonContract
        # What is large for everyone in a step: the paper, the people, or the words.
        LEADS = %w[paper people words].freeze

        STEP = Contract.define do
          required(:id).value(Types::ID)
          required(:title).value(:string, max_size?: 120)
          required(:minutes).value(:integer, gteq?: 0, lteq?: 600)
          required(:shortest).value(:integer, gteq?: 0, lteq?: 600)
          required(:notes).value(:string, max_size?: 4000)
          required(:board).maybe(Types::ID)
          optional(:material).maybe(Types::ID)
          optional(:leads).value(:string, included_in?: LEADS)
          optional(:rules).maybe(:hash) do
            Rights::RIGHTS.each_key { |right| optional(right).value(:bool) }
          end
          optional(:cues).value(:array, max_size?: Cues::MOST).each { hash(Cues::CONTRACT) }
        end

        # Letters in the words that the waiting room shows.
        WELCOME_LIMIT = 600

        CONTRACT = Contract.define do
          required(:version).value(:integer, gteq?: 0, lteq?: 1_000_000_000)
          optional(:title).filled(:string, max_size?: 120)
          optional(:starts_at).value(:integer, :moment?)
          optional(:minutes).value(:integer, gteq?: 5, lteq?: 600)
          optional(:record_from).maybe(Types::ID)
          optional(:welcome).value(:string, max_size?: WELCOME_LIMIT)
          optional(:welcome_ink).maybe(:string, included_in?: Boards::Inks::NAMES)
          optional(:welcome_picture).maybe(Types::ID)
          optional(:invited_only).value(:bool)
          optional(:steps).value(:array, max_size?: 60).each { hash(STEP) }
        end

        # What steps have that say nothing of it.
        PLAIN = { material: nil, rules: nil, cues: [], leads: 'paper' }.freeze

        module_function

        # @param input [Hash]
        # @param boards [Array<String>] ids of the lesson's boards
        # @return [Hash]
        # @raise [Refusal] `bad_input`, `step_untitled`, `step_too_short`, `no_such_board`
        def check(input, boards:)
          facts = Contract.check(CONTRACT, input)
          facts[:title] = Title.clean(facts[:title]) if facts[:title]
          facts[:steps] = facts[:steps].map { |step| step.merge(title: titled(step[:title])) } if facts[:steps]
          facts[:steps]&.each { |step| check_step(step, boards) }
          facts
        end

        def titled(text)
          Title.clean(text)
        rescue Refusal
          raise Refusal.new(:step_untitled, 'Every step needs a title.')
        end
        private_class_method :titled

        # @param step [Hash]
        # @param boards [Array<String>] ids of the lesson's boards
        # @raise [Refusal] as {check}
        def check_step(step, boards)
          step[:cues]&.each { |cue| Cues.check!(cue, boards) }
          raise Refusal.new(:step_untitled, 'Every step needs a title.') if step[:title].strip.empty?
          raise Refusal.new(:step_too_short, "“#{step[:title]}” has fewer minutes than its shortest.") if step[:shortest] > step[:minutes]
          return if step[:board].nil? || boards.include?(step[:board])

          raise Refusal.new(:no_such_board, "The board of “#{step[:title]}” is not in this lesson.")
        end
      end
    end
  end
end
