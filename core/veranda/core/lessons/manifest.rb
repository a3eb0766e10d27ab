# frozen_string_literal: true

require 'dry/schema'

module Veranda
  module Core
    module Lessons
      # What `manifest.json` in a lesson's zip says; `docs/lesson-zip.md` tells it in words.
      module Manifest
        FORMAT = 'veranda-lesson'
        VERSION = 1

        STEP = Contract.define(PlanStep::FIELDS) { required(:id).value(Types::ID) }
        private_constant :STEP

        CONTRACT = Contract.define do
          required(:format).value(:string)
          required(:version).value(:integer)
          required(:title).filled(:string, max_size?: 120)
          required(:minutes).value(:integer, gteq?: 5, lteq?: 600)
          required(:record_from).maybe(Types::ID)
          optional(:welcome).value(:string, max_size?: SetPlan::WELCOME_LIMIT)
          optional(:welcome_ink).maybe(:string, included_in?: Boards::Inks::NAMES)
          optional(:welcome_picture).maybe(Types::ID)
          required(:steps).value(:array, max_size?: Plan::MOST_STEPS).each { hash(STEP) }
          required(:boards).value(:array, max_size?: 200).each do
            hash do
              required(:id).value(Types::ID)
              required(:name).filled(:string, max_size?: 80)
              required(:audience).value(:string, included_in?: %w[everyone staff])
              required(:outside).value(:string, included_in?: %w[closed read work])
              required(:first_page).value(Types::ID)
              required(:pages).value(:array, min_size?: 1, max_size?: Boards::Board::MAX_PAGES).each(:string, max_size?: 200)
            end
          end
          required(:materials).value(:array, max_size?: 200).each do
            hash do
              required(:id).value(Types::ID)
              required(:title).filled(:string, max_size?: 120)
              required(:labels).value(:array, max_size?: 20).each(:string, max_size?: 40)
              required(:name).filled(:string, max_size?: 400)
              required(:version).value(:integer, gteq?: 1)
              required(:file).filled(:string, max_size?: 200)
            end
          end
        end

        module_function

        # @param facts [Hash] as parsed from JSON
        # @return [Hash] with symbol keys
        # @raise [Refusal] `zip_foreign`, `zip_newer`, `bad_input`
        def check(facts)
          unless facts.is_a?(Hash) && facts['format'] == FORMAT
            raise Refusal.new(:zip_foreign, 'This zip holds no lesson of Veranda. Nothing was taken in.')
          end
          if facts['version'] != VERSION
            raise Refusal.new(:zip_newer,
                              'This lesson was saved by another version of Veranda than this one can read. Nothing was taken in.')
          end

          check_sense(Contract.check(CONTRACT, facts))
        end

        def check_sense(facts)
          boards = facts[:boards].map { |board| board[:id] }
          steps = facts[:steps].map { |step| Plan::STEP.merge(step, title: PlanStep.titled(step[:title])) }
          steps.each do |step|
            PlanStep.check!(step)
            PlanStep.on_boards!(step, boards)
          end
          facts.merge(steps: steps)
        end
        private_class_method :check_sense
      end
    end
  end
end
