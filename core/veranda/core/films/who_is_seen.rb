# frozen_string_literal: true

module Veranda
  module Core
    module Films
      # Who is in the picture of a film, and where: whoever was made large and whoever teaches before those who spoke last. Somebody who
      # stays in the picture stays in their place.
      #
      #   WhoIsSeen.new(pictures, staff: ['odalys'], spoke: [['farah', 61_000]], large: [[0, nil]]).slots
      #   #=> [{ from: 0, to: 90_000, slots: [track, nil, nil, nil] }, …]
      class WhoIsSeen
        # @param pictures [Array<Hash>] `{ person:, from:, to:, … }`, ms into the film
        # @param staff [Array<String>] ids
        # @param spoke [Array<Array(String, Integer)>] who had spoken when
        # @param large [Array<Array(Integer, String)>] since when who was large for everybody, nil for nobody
        def initialize(pictures, staff: [], spoke: [], large: [])
          @pictures = pictures
          @staff = staff
          @spoke = spoke.sort_by(&:last)
          @large = large
        end

        # @return [Array<Hash>] `{ from:, to:, slots: }` in order, each slot one of the pictures or nil
        def slots
          @slots = Array.new(Layout::SEEN)
          stretches = moments.each_cons(2).map { |from, to| { from: from, to: to, slots: at(from).dup } }
          stretches.chunk_while { |one, other| one[:slots] == other[:slots] }
                   .map { |same| same.first.merge(to: same.last[:to]) }.select { |row| row[:slots].any? }
        end

        private

        def moments = (@pictures.flat_map { |one| one.values_at(:from, :to) } + @spoke.map(&:last) + @large.map(&:first)).uniq.sort

        def at(time)
          on = @pictures.select { |one| one[:from] <= time && one[:to] > time }.uniq { |one| one[:person] }
          chosen = on.length > Layout::SEEN ? on.sort_by { |one| rank(one, time) }.first(Layout::SEEN) : on
          @slots = @slots.map { |one| one && chosen.find { |other| other[:person] == one[:person] } }
          (chosen - @slots.compact).each { |one| @slots[@slots.index(nil)] = one }
          @slots
        end

        def rank(one, time)
          large = @large.reverse.find { |since,| since <= time }&.last == one[:person]
          last = @spoke.reverse.find { |person, at| at <= time && person == one[:person] }&.last || -1
          [large ? 0 : 1, @staff.include?(one[:person]) ? 0 : 1, -last, one[:from]]
        end
      end
    end
  end
end
