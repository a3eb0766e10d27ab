# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Lays down what will be taught, taken from the lesson when its class is set up. May be
      # done again until the doors open, so that late changes to the lesson still count. Everyone who is let in learns the
      # titles and minutes; notes, cues, rules and boards for staff stay with the staff.
      class Plan < SittingCommand
        on :sitting, 'class.plan'
        include NamedBoards

        touches :staff, :waiting
        begins { |concern| NamedBoards.streams(concern) }

        BOARDS = lambda do |dsl|
          dsl.required(:boards).array(:hash) do
            required(:id).value(Types::ID)
            required(:name).filled(:string)
            required(:audience).value(:string, included_in?: Lessons::Audience::KINDS)
            optional(:people).value(:array, max_size?: Lessons::Audience::MOST).each(Types::ID)
            optional(:owner).value(Types::ID)
            optional(:outside).value(:string, included_in?: %w[closed read work])
            optional(:first_page).value(Types::ID)
          end
          dsl.optional(:people).array(Types::ID)
        end

        STEP = Contract.define do
          required(:id).value(Types::ID)
          required(:title).filled(:string)
          required(:minutes).value(:integer, gteq?: 0)
          required(:shortest).value(:integer, gteq?: 0)
          required(:board).maybe(Types::ID)
          optional(:notes).value(:string)
          optional(:leads).value(:string, included_in?: Lessons::PlanStep::LEADS)
          optional(:material).maybe(Types::ID)
          optional(:rules).maybe(:hash) { Rights::RIGHTS.each_key { |right| optional(right).value(:bool) } }
          optional(:cues).array(:hash, Lessons::Cues::CONTRACT)
        end

        contract do
          required(:id).value(Types::ID)
          required(:title).filled(:string)
          required(:course).filled(:string)
          required(:starts_at).value(:integer)
          required(:minutes).value(:integer, gt?: 0)
          # The lesson was called off.
          optional(:cancelled).value(:bool)
          optional(:words).value(:string)
          optional(:ink).value(:string, included_in?: Boards::Inks::NAMES)
          optional(:picture).hash do
            required(:material).value(Types::ID)
            required(:version).value(:integer, gteq?: 1)
          end
          required(:steps).array(:hash, STEP)
          BOARDS.call(self)
          optional(:places).array(:hash) do
            required(:id).value(Types::ID)
            required(:name).filled(:string)
          end
          required(:record_from).maybe(Types::ID)
          required(:rehearsal).value(:bool)
        end

        PUBLIC_STEP = %i[id title minutes leads].freeze
        PUBLIC_BOARD = %i[id name first_page].freeze
        WELCOME = %i[title course starts_at minutes rehearsal cancelled words ink picture].freeze

        # @param boards [Array<Hash>]
        # @return [Array<Hash>] what everyone may know of them
        def self.public_boards(boards)
          boards.select { |board| Lessons::Audience.everyone?(board) }.map { |board| board.slice(*PUBLIC_BOARD) }
        end

        def decide
          raise Refusal.new(:doors_open, 'The class has begun with the plan it has.') unless sitting.planned?

          [(entry('planned', public_plan) unless same?(sitting.to_h, public_plan)),
           (entry('planned', staff_plan, on: :staff) unless same?(plan.to_h, staff_plan)),
           (entry('welcomed', welcome, on: :waiting) unless scene.of(:waiting).welcome == welcome), *named_boards]
        end

        private

        def public_plan
          { **input.slice(:id, :title, :course, :starts_at, :minutes, :rehearsal), places: input[:places] || Places::FIRST,
                                                                                   steps: input[:steps].map do |step|
                                                                                     step.slice(*PUBLIC_STEP)
                                                                                   end, boards: Plan.public_boards(input[:boards]) }
        end

        def staff_plan = input.slice(:steps, :boards, :record_from)
        def welcome = input.slice(*WELCOME)
        def same?(facts, plan) = plan.all? { |field, value| facts[field] == value }
      end
    end
  end
end
