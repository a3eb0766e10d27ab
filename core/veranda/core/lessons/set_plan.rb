# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # What the lesson is called, when it is and how long, and what those find who come to its doors.
      class SetPlan < PlanCommand
        on :plan, 'plan.set'

        # Letters in the words that the waiting room shows.
        WELCOME_LIMIT = 600

        FIELDS = Contract.define do
          optional(:title).value(:string, max_size?: 120)
          optional(:starts_at).value(:integer, :moment?)
          optional(:minutes).value(:integer, gteq?: 5, lteq?: 600)
          optional(:record_from).maybe(Types::ID)
          optional(:welcome).value(:string, max_size?: WELCOME_LIMIT)
          optional(:welcome_ink).maybe(:string, included_in?: Boards::Inks::NAMES)
          optional(:welcome_picture).maybe(Types::ID)
          optional(:invited_only).value(:bool)
        end

        contract do
          required(:seen).value(:integer, gteq?: 0)
          required(:set).hash(FIELDS)
        end

        def decide
          teacher!
          set = input[:set]
          set = set.merge(title: Title.clean(set[:title])) if set[:title]
          fields = fresh(nil, state, set)
          entry('plan_set', fields) if fields.any?
        end
      end
    end
  end
end
