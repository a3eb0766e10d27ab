# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # Lets people who wait into a place, or takes those who are in to another one.
      class LetIn < SittingCommand
        include Rooms::Standing

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
          place!
          coming = input[:people].filter_map { |id| plan.waiting[id]&.slice(:id, :name, :role) }
          moving = input[:place] ? input[:people].select { |id| sitting.in?(id) && sitting.seats[id].place != input[:place] } : []
          [*let_in(coming), *moved(moving)]
        end

        private

        def place!
          return if input[:place].nil? || sitting.place?(input[:place])

          raise Refusal.new(:no_such_place, 'There is no such place in this class.')
        end

        # While rooms are open each goes to theirs, unless a place is said.
        def let_in(coming)
          return [] if coming.empty?

          to = coming.to_h { |person| [person[:id], input[:place] ? [input[:place], nil] : standing(person[:id])] }
          ids = coming.map { |person| person[:id] }
          [*joined(coming, to), entry('waits_no_more', { people: ids }, on: :staff),
           *to.flat_map { |id, (place, noted)| [placed(id, place), noted] }]
        end

        def joined(coming, to)
          by_place = coming.group_by { |person| to[person[:id]].first }
          by_place.map { |place, people| entry('joined', { people: people, place: place }) }
        end

        def moved(people)
          return [] if people.empty?

          [entry('seated', { people: people, place: input[:place] }), *people.map { |id| placed(id, input[:place]) }]
        end

        def placed(id, place) = entry('placed', { place: place }, on: Streams::StreamName.own(sitting.id, id))
      end
    end
  end
end
