# frozen_string_literal: true

module Veranda
  module Core
    # The order of words in a reader's language. Follows the levels of the Unicode Collation Algorithm
    # (UTS #10): letters first, then accents, then case; the languages differ in which letters stand
    # on their own, as CLDR's tailorings have them.
    #
    #   %w[Zürich Ärmel Apfel].sort_by { |word| Collation.key(word, language: 'de') } #=> Apfel, Ärmel, Zürich
    #   %w[Örn Zorn].sort_by { |word| Collation.key(word, language: 'sv') }          #=> Zorn, Örn
    module Collation
      # Letters that follow another one instead of being a form of it: letter => [letter it follows, how far].
      LETTERS = {
        'sv' => { 'å' => ['z', 1], 'ä' => ['z', 2], 'ö' => ['z', 3], 'ø' => ['z', 3], 'æ' => ['z', 2] },
        'fi' => { 'å' => ['z', 1], 'ä' => ['z', 2], 'ö' => ['z', 3], 'ø' => ['z', 3], 'æ' => ['z', 2] },
        'da' => { 'æ' => ['z', 1], 'ä' => ['z', 1], 'ø' => ['z', 2], 'ö' => ['z', 2], 'å' => ['z', 3], 'aa' => ['z', 3] },
        'nb' => { 'æ' => ['z', 1], 'ä' => ['z', 1], 'ø' => ['z', 2], 'ö' => ['z', 2], 'å' => ['z', 3] },
        'et' => { 'š' => ['s', 1], 'z' => ['s', 2], 'ž' => ['s', 3], 'õ' => ['w', 1], 'ä' => ['w', 2], 'ö' => ['w', 3],
                  'ü' => ['w', 4] },
        'es' => { 'ñ' => ['n', 1] },
        'cs' => { 'č' => ['c', 1], 'ch' => ['h', 1], 'ř' => ['r', 1], 'š' => ['s', 1], 'ž' => ['z', 1] },
        'sk' => { 'ä' => ['a', 1], 'č' => ['c', 1], 'ch' => ['h', 1], 'ô' => ['o', 1], 'š' => ['s', 1], 'ž' => ['z', 1] },
        'pl' => { 'ą' => ['a', 1], 'ć' => ['c', 1], 'ę' => ['e', 1], 'ł' => ['l', 1], 'ń' => ['n', 1], 'ó' => ['o', 1],
                  'ś' => ['s', 1], 'ź' => ['z', 1], 'ż' => ['z', 2] },
        'hu' => { 'cs' => ['c', 1], 'dz' => ['d', 1], 'dzs' => ['d', 2], 'gy' => ['g', 1], 'ly' => ['l', 1], 'ny' => ['n', 1],
                  'ö' => ['o', 1], 'ő' => ['o', 1], 'sz' => ['s', 1], 'ty' => ['t', 1], 'ü' => ['u', 1], 'ű' => ['u', 1],
                  'zs' => ['z', 1] },
        'tr' => { 'ç' => ['c', 1], 'ğ' => ['g', 1], 'ı' => ['h', 1], 'ö' => ['o', 1], 'ş' => ['s', 1], 'ü' => ['u', 1] },
        'ro' => { 'ă' => ['a', 1], 'â' => ['a', 2], 'î' => ['i', 1], 'ș' => ['s', 1], 'ț' => ['t', 1] },
        'hr' => { 'č' => ['c', 1], 'ć' => ['c', 2], 'dž' => ['d', 1], 'đ' => ['d', 2], 'lj' => ['l', 1], 'nj' => ['n', 1],
                  'š' => ['s', 1], 'ž' => ['z', 1] }
      }.then { |all| all.merge('no' => all['nb'], 'nn' => all['nb'], 'bs' => all['hr']) }.freeze

      # Letters that Unicode does not take apart though every reader does.
      JOINED = { 'ß' => 'ss', 'æ' => 'ae', 'œ' => 'oe', 'ø' => 'o', 'ł' => 'l', 'đ' => 'd', 'þ' => 'th', 'ı' => 'i' }.freeze

      # Letters and digits; everything else is passed over, as spaces are.
      WORD = /[\p{L}\p{N}]/

      module_function

      # @param text [String]
      # @param language [String] BCP 47 tag; its first part counts
      # @return [Array] to be compared with the keys of other texts in the same language
      def key(text, language: 'en')
        letters = LETTERS.fetch(language.downcase[/\A[a-z]+/] || 'en', {})
        folded = text.unicode_normalize(:nfc).downcase
        [primary(folded, letters), folded.unicode_normalize(:nfd), text.swapcase]
      end

      def primary(text, letters)
        longest = letters.keys.map(&:length).max || 1
        at = 0
        weights = []
        while at < text.length
          taken = longest.downto(1).find { |length| letters.key?(text[at, length]) && text[at, length].length == length }
          weights.concat(taken ? own_letter(letters[text[at, taken]]) : common(text[at]))
          at += taken || 1
        end
        weights
      end
      private_class_method :primary

      # Sits between the letter it follows and the next one.
      def own_letter((after, far)) = [[1, after.ord, far]]
      private_class_method :own_letter

      def common(character)
        plain = JOINED.fetch(character) { character.unicode_normalize(:nfkd).gsub(/\p{M}/, '') }
        plain.each_char.grep(WORD).map { |letter| letter.match?(/\p{N}/) ? [0, letter.ord, 0] : [1, letter.ord, 0] }
      end
      private_class_method :common
    end
  end
end
