# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Lets people who wait into a place, or takes those who are in to another one.
      class LetIn < SittingCommand
        on :sitting, 'class.let_in'
        touches :staff
        begins { |concern| concern.input[:people].map { |id| concern.own_of(id) } }
        # Of people let in by one command.
        MOST = 25

        contract do
          required(:people).value(:array, min_size?: 1, max_size?: MOST).each(Types::ID)
          optional(:place).value(Types::ID)
        end

        def decide
          staff!('Only instructors and assistants let people in.')
          going_on!
          raise Refusal.new(:no_such_place, 'There is no such place in this class.') unless sitting.place?(to)

          coming = input[:people].filter_map { |id| plan.waiting[id]&.slice(:id, :name, :role) }
          moving = input[:people].select { |id| sitting.in?(id) && sitting.seats[id].place != to }
          [*let_in(coming), *seated(moving), *placed(coming.map { |person| person[:id] } | moving)]
        end

        private

        def to = input[:place] || Places::MAIN

        def let_in(coming)
          return [] if coming.empty?

          [entry('joined', { people: coming, place: to }),
           entry('waits_no_more', { people: coming.map { |person| person[:id] } }, on: :staff)]
        end

        def seated(moving) = moving.empty? ? [] : [entry('seated', { people: moving, place: to })]

        def placed(people)
          people.map { |id| entry('placed', { place: to }, on: Streams::StreamName.own(sitting.id, id)) }
        end
      end
    end
  end
end
