# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Finds the nearest of many words to a given one, within the slips that its length lets pass, without comparing it with all of them.
      #
      # Whatever the slips between two words, as many letters left out at the beginning of each make these beginnings the same. So words are
      # looked up by their beginnings with letters left out.
      class Nearest
        # Letters of a word that are looked up.
        BEGINNING = 7

        def initialize
          @by_beginning = Hash.new { |hash, part| hash[part] = [] }
          @count = 0
        end

        # @param word [String]
        def add(word)
          letters = word.codepoints
          known = [word, letters, mask(letters), @count += 1]
          beginnings(word, Slips.allowed(letters.length)).each { |part| @by_beginning[part] << known }
        end

        # @param word [String]
        # @return [String, nil] the one with the fewest slips; of several, that which was added first
        def of(word)
          letters = word.codepoints
          slips = Slips.allowed(letters.length)
          return if slips.zero?

          best = nil
          candidates(word, letters, slips).each do |other, others, _, place|
            between = Slips.between(letters, others, [slips, Slips.allowed(others.length)].min) or next
            found = [between, place, other]
            best = found if best.nil? || (found <=> best).negative?
          end
          best&.last
        end

        private

        def candidates(word, letters, slips)
          mine = mask(letters)
          seen = {}
          beginnings(word, slips).flat_map do |part|
            next [] unless @by_beginning.key?(part)

            @by_beginning[part].select do |_, others, theirs, place|
              next if seen[place]

              seen[place] = true
              near?(letters.length - others.length, mine ^ theirs, slips)
            end
          end
        end

        # Letters that one has and the other lacks: each slip accounts for two at most.
        def near?(longer, differing, slips)
          return false if longer.abs > slips

          count = 0
          while differing.positive?
            differing &= differing - 1
            count += 1
          end
          count <= 2 * slips
        end

        def mask(letters) = letters.reduce(0) { |mask, letter| mask | (1 << (letter % 61)) }

        # @return [Array<String>] how a word begins, with so many letters left out or fewer
        def beginnings(word, slips)
          whole = word[0, BEGINNING]
          return [whole] if slips.zero?

          shorter = without_one(whole, 0)
          return [whole, *shorter] if slips == 1

          [whole, *shorter, *shorter.each_with_index.flat_map { |part, i| without_one(part, i) }].uniq
        end

        def without_one(part, from) = (from...part.length).map { |i| part[0, i] << part[i + 1, BEGINNING] }
      end
    end
  end
end
