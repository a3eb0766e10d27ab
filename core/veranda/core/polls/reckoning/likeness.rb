# frozen_string_literal: true

require 'set'

module Veranda
  module Core
    module Polls
      # Puts short answers together that are the same but for case, accents, spacing, plural or a slip of the hand, and says of each why it
      # is where it is.
      #
      #   Likeness.new(['Fog horn', 'fog horns', 'fog hron', 'Bell']).groups
      # #=> [{ key: 'fog horn', words: 'Fog horn', count: 3, texts: [{ text: 'Fog horn', key: 'fog horn', count: 1, why: nil }, …] }, {
      # key: 'bell', … }]
      #
      # What has a figure in it is never put together by a slip: 2.7 is not 2.8. What most people wrote comes first and takes in the
      # others, each at the nearest; so a group never grows beyond what is near to its first.
      class Likeness
        # Why an answer is where it is.
        WHY = %w[spelling slip staff].freeze

        # @param texts [Array<String>]
        # @param moved [Hash{String => String}] keys that staff have put to another, or to themselves
        def initialize(texts, moved: {})
          @counts = texts.tally
          @moved = moved
        end

        # Case, accents, signs, spaces and plural taken away.
        # @param text [String]
        # @return [String]
        def self.key(text)
          plain = (text.ascii_only? ? text : text.unicode_normalize(:nfkd).gsub(/\p{Mn}/, '')).downcase
          words = plain.gsub(/(?<=\d)[.,](?=\d)/, '.').gsub(/[^\p{L}\p{N}.]+|\.(?!\d)/, ' ').split
          key = words.map { |word| singular(word) }.join(' ')
          key.empty? ? text.strip : key
        end

        # English plurals alone, and only where the word stays long enough to be one.
        def self.singular(word)
          return word if word.match?(/(?:ss|us|is)\z/)

          case word
          when /\A\p{L}{2,}ies\z/ then "#{word[0..-4]}y"
          when /\A\p{L}{2,}(?:ch|sh|x|z|ss)es\z/ then word[0..-3]
          when /\A\p{L}{3,}s\z/ then word[0..-2]
          else word
          end
        end
        private_class_method :singular

        # @return [Array<Hash>] `{ key:, words:, count:, texts: [{ text:, key:, count:, why: }] }`, most first; `words` as most wrote it
        def groups
          by_key = @counts.keys.group_by { |text| Likeness.key(text) }
          homes = homes(by_key)
          gathered = by_key.keys.group_by { |key| homes[key] }
          gathered.map { |home, keys| group(home, keys.flat_map { |key| by_key[key].map { |text| [text, key] } }) }
                  .sort_by { |group| [-group[:count], group[:words]] }
        end

        private

        def group(home, rows)
          rows = rows.sort_by { |text, _| [-@counts[text], text] }
          first = rows.find { |_, key| key == home }&.first || rows.first.first
          texts = rows.map { |text, key| { text: text, key: key, count: @counts[text], why: why(text, key, home, first) } }
          { key: home, words: first, count: texts.sum { |row| row[:count] }, texts: texts }
        end

        def why(text, key, home, first)
          return if text == first
          return 'staff' if @moved.key?(key)

          key == home ? 'spelling' : 'slip'
        end

        # Where each key belongs: at itself, at what staff said, or at the nearest that more people wrote.
        def homes(by_key)
          nearest = Nearest.new
          weight = by_key.transform_values { |texts| texts.sum { |text| @counts[text] } }
          by_key.keys.sort_by { |key| [-weight[key], key] }.each_with_object({}) do |key, homes|
            homes[key] = @moved[key] || (nearest.of(key) unless key.match?(/\p{N}/)) || key
            nearest.add(key) if homes[key] == key && !@moved.key?(key)
          end
        end
      end
    end
  end
end
