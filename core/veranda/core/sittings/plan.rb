# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Lays down what will be taught, taken from the lesson when its class is set up. May be
      # done again until the doors open, so that late changes to the lesson still count.
      class Plan < SittingCommand
        on :sitting, 'class.plan'
        contract do
          required(:id).value(Types::ID)
          required(:title).filled(:string)
          required(:course).filled(:string)
          required(:starts_at).value(:integer)
          required(:minutes).value(:integer, gt?: 0)
          required(:steps).array(:hash) do
            required(:id).value(Types::ID)
            required(:title).filled(:string)
            required(:minutes).value(:integer, gteq?: 0)
            required(:shortest).value(:integer, gteq?: 0)
            required(:board).maybe(Types::ID)
            optional(:material).maybe(Types::ID)
            optional(:rules).maybe(:hash) do
              Rights::RIGHTS.each_key { |right| required(right).value(:bool) }
            end
            optional(:cues).array(:hash, Lessons::Cues::CONTRACT)
          end
          required(:boards).array(:hash) do
            required(:id).value(Types::ID)
            required(:name).filled(:string)
            required(:audience).value(:string, included_in?: %w[everyone staff])
            optional(:first_page).value(Types::ID)
          end
          required(:record_from).maybe(Types::ID)
          required(:rehearsal).value(:bool)
        end

        def decide
          raise Refusal.new(:doors_open, 'The class has begun with the plan it has.') unless sitting.status == 'planned'

          ['planned', input]
        end
      end
    end
  end
end
