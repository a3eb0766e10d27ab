# frozen_string_literal: true

module Veranda
  module Core
    module Insights
      # Who has been heard in a class and who has not: what each student did, when last, and how evenly it is spread.
      #
      #   heard = Heard.new(sitting, 'main', tallies)
      #   heard.rows.first #=> { person: 'hana', last: nil, spells: 0, posts: 0, marks: 0, answers: 0, hands: 0, floors: 0, signals: 0,
      #                         speeches: 0, spoken: 0 }
      #
      # Fairness is measured in spells, half minutes in which somebody did anything: forty strokes of one drawing are no forty
      # contributions.
      class Heard
        # Kinds of entries by what they are called, and ms of a spell.
        KINDS = { 'posted' => :posts, 'edited' => :marks, 'answered' => :answers, 'hand_raised' => :hands, 'floor_lent' => :floors,
                  'signalled' => :signals, 'spoke' => :speeches }.freeze
        SPELL = 30_000

        # @param sitting [Sittings::Sitting]
        # @param here [String] id of the place
        # @param tallies [Hash{String => Hash}] by person: `{ spells:, spoken:, kinds: { kind => [count, last] } }`, as from {Store::Log#tallies}
        def initialize(sitting, here, tallies)
          @students = sitting.present.select { |seat| seat.place == here && !seat.staff? }
          @tallies = tallies
        end

        # @return [Array<Hash>] a row for each student, whoever was heard least and longest ago first
        def rows = @rows ||= @students.map { |seat| row(seat.id) }.sort_by { |row| [row[:spells], row[:last] || 0, row[:person]] }

        # @return [Float, nil] see {Gini}
        def gini = Gini.of(rows.map { |row| row[:spells] })&.round(2)

        private

        def row(person)
          tally = @tallies[person] || { spells: 0, kinds: {} }
          counts = KINDS.to_h { |kind, name| [name, tally[:kinds][kind]&.first || 0] }
          { person: person, last: tally[:kinds].each_value.map(&:last).max, spells: tally[:spells],
            spoken: tally[:spoken] || 0, **counts }
        end
      end
    end
  end
end
