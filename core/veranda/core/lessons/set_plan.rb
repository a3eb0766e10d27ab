# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # What the lesson is called, when it is and how long, and what those find who come to its doors.
      class SetPlan < PlanCommand
        on :plan, 'plan.set'

        # Letters in the words that the waiting room shows.
        WELCOME_LIMIT = 600

        # What is as it was, once a class was held.
        HISTORY = %i[starts_at cancelled].freeze

        FIELDS = Contract.define do
          optional(:title).value(:string, max_size?: 120)
          optional(:starts_at).value(:integer, :moment?)
          optional(:minutes).value(:integer, gteq?: 5, lteq?: 600)
          optional(:record_from).maybe(Types::ID)
          optional(:welcome).value(:string, max_size?: WELCOME_LIMIT)
          optional(:welcome_ink).maybe(:string, included_in?: Boards::Inks::NAMES)
          optional(:welcome_picture).maybe(Types::ID)
          optional(:invited_only).value(:bool)
          # It does not take place.
          optional(:cancelled).value(:bool)
        end

        contract do
          required(:seen).value(:integer, gteq?: 0)
          required(:set).hash(FIELDS)
        end

        def decide
          teacher!
          held! if state[:held]
          set = input[:set]
          set = set.merge(title: Title.clean(set[:title])) if set[:title]
          fields = fresh(nil, state, set)
          entry('plan_set', fields) if fields.any?
        end

        private

        # When it was is known from then on.
        def held!
          return if HISTORY.none? { |field| input[:set].key?(field) && input[:set][field] != state[field] }

          raise Refusal.new(:was_held, 'This lesson was held, and keeps its day. Copy it to hold it once more.')
        end
      end
    end
  end
end
