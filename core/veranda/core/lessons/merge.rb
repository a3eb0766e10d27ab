# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # Brings together what two people made of one lesson, field by field: what only one of them changed is taken, and where both
      # changed the same field differently, what is saved already stays and the other is told of.
      #
      #   merged = Merge.call(base: then, theirs: now, mine: { steps: […] })
      #   merged.facts     #=> { title:, steps:, … }
      #   merged.conflicts #=> [{ step: 'fog', field: :minutes, title: 'Fog', mine: 12, theirs: 20 }]
      class Merge
        FIELDS = %i[title starts_at minutes record_from welcome welcome_ink welcome_picture invited_only].freeze

        # @!attribute facts [Hash] the fields as they come to be
        # @!attribute conflicts [Array<Hash>] `{ step:, field:, title:, mine:, theirs: }`; `step` is nil for the lesson itself
        Merged = Struct.new(:facts, :conflicts)

        # @param base [Hash] the lesson as both had it
        # @param theirs [Hash] as it is now
        # @param mine [Hash] any of its fields as they were sent
        # @return [Merged]
        def self.call(base:, theirs:, mine:) = new(base, theirs, mine).call

        def initialize(base, theirs, mine)
          @facts = { base: base, theirs: theirs, mine: mine }
          @base, @theirs, @mine = [base, theirs, mine].map { |one| by_id(one) }
          @conflicts = []
        end

        def call
          facts = FIELDS.select { |field| @facts[:mine].key?(field) }.to_h { |field| [field, pick(nil, field, *@facts.values)] }
          facts[:steps] = steps if @facts[:mine][:steps]
          Merged.new(facts, @conflicts)
        end

        private

        # @param step [Hash, nil] that the field is of
        def pick(step, field, base, theirs, mine)
          was, now, want = [base, theirs, mine].map { |facts| facts[field] }
          return now if want == was || want == now
          return want if now == was

          @conflicts << { step: step && step[:id], field: field, title: (step || theirs)[:title], mine: want, theirs: now }
          now
        end

        def steps
          found = together
          inserted = mine.keys - base.keys - theirs.keys
          ordered = order.filter_map { |id| found[id] }
          inserted.each { |id| insert(ordered, id) }
          ordered
        end

        attr_reader :base, :theirs, :mine

        def by_id(facts) = (facts[:steps] || []).to_h { |step| [step[:id], step] }

        # @return [Hash{String => Hash, nil}] what becomes of every step that was there before or is there now; nil where it goes
        def together
          (theirs.keys | (mine.keys & base.keys)).to_h { |id| [id, one(*[base, theirs, mine].map { |steps| steps[id] })] }
        end

        # A step that one took out while the other changed it stays.
        def one(was, now, want)
          return merged(was || {}, now, want) if now && want
          return now if now && (was.nil? || now != was)

          want if want && want != was
        end

        def merged(was, now, want)
          (now.keys | want.keys).to_h { |field| [field, pick(now, field, was, now, want)] }
        end

        # Theirs, unless only mine is another than it was.
        def order
          now, want = theirs.keys, mine.keys
          was, still, wanted = [base.keys, now, want].map { |ids| ids & (base.keys & now & want) }
          return now | want unless wanted != was && still == was

          # Those that only they have come behind the step they follow with them.
          [nil, *now].each_cons(2).with_object(want & (base.keys | now)) do |(before, id), ids|
            ids.insert((ids.index(before) || -1) + 1, id) unless ids.include?(id)
          end
        end

        # Mine come behind the step that they follow with me.
        def insert(ordered, id)
          at = mine.keys.index(id)
          before = mine.keys.take(at).reverse.find { |other| ordered.any? { |step| step[:id] == other } }
          place = before ? ordered.index { |step| step[:id] == before } + 1 : 0
          ordered.insert(place, mine[id])
        end
      end
    end
  end
end
