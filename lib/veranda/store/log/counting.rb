# frozen_string_literal: true

module Veranda
  module Store
    class Log
      # What is told of many entries without reading each.
      module Counting
        SPOKEN = Sequel.lit("sum(CASE WHEN kind = 'spoke' THEN (body->>'ms')::bigint END)")
        private_constant :SPOKEN

        # @return [Array<Hash>] bodies of all entries of one kind in a stream
        def bodies(name, kind)
          @db[:entries].where(stream: name, kind: kind).order(:seq).select_map(Sequel.cast(:body, String))
                       .map { |body| JSON.parse(body, symbolize_names: true) }
        end

        # What each person did, and how often, as counted by the database: a class has many thousands of entries.
        # @param names [Array<String>]
        # @param kinds [Array<String>] `floor_lent` counts for whom it was lent
        # @param from [Integer] ms since the epoch
        # @param spell [Integer] ms
        # @return [Hash{String => Hash}] by person: `{ spells:, spoken:, kinds: { kind => [count, last] } }`, where spells are those in
        #   which they did anything of it, and `spoken` the ms that they were heard to speak
        def tallies(names, kinds, from:, spell:)
          person = Sequel.case({ { kind: 'floor_lent' } => Sequel.lit("body->>'person'") }, :actor)
          rows = @db[:entries].where(stream: names, kind: kinds) { at >= from }
          # Counted before spells are: who does their first thing in between has a spell then, and no count yet.
          counts = rows.group(person, :kind).select(person.as(:person), :kind, Sequel.function(:count).*.as(:count),
                                                    Sequel.function(:max, :at).as(:last), SPOKEN.as(:spoken)).all
          spells = rows.group(person).select_hash(person.as(:person), Sequel.lit('count(DISTINCT at / ?)', spell).as(:spells))
          by_person = counts.group_by { |row| row[:person] }
          by_person.to_h { |id, own| [id, { spells: spells[id], **tally(own) }] }
        end

        private

        def tally(rows)
          { spoken: rows.sum { |row| row[:spoken].to_i }, kinds: rows.to_h { |row| [row[:kind], row.values_at(:count, :last)] } }
        end
      end
    end
  end
end
