# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # Who is called what in a recording. Where names are hidden everybody but staff is a number, in the order in which they first came,
      # and the same one throughout: their id, their name, and their name where others wrote it. Of people who were left out nothing is
      # said, and where others wrote their name it says *somebody*.
      #
      #   cast = Cast.new([{ id: 'f7', name: 'Farah Lind', staff: false }], edits)
      #   cast.clean({ by: 'f7', text: 'Farah, look!' }) #=> { by: 'student-1', text: 'Student 1, look!' }
      #
      # It goes over whatever is to be shown without knowing what it is, so that nothing that is added one day is forgotten.
      class Cast
        # Fields that say whose something is.
        OWNERS = %i[id by person author].freeze
        SOMEBODY = 'Somebody'
        # Of a part of a name that is hidden by itself.
        LEAST = 2
        GONE = Object.new.freeze
        # Letters of a string that is worth being remembered, and how many are.
        SHORT = 40
        MOST_KNOWN = 20_000
        private_constant :GONE, :SHORT, :MOST_KNOWN

        # @param people [Array<Hash>] `{ id:, name:, staff: }` of everybody who can be named, in order of first coming; once for each name
        # @param edits [Edits]
        def initialize(people, edits)
          @known = {}
          @left_out = edits.left_out.to_set
          @hidden = edits.names_hidden?
          @numbers = @hidden ? numbered(people) : {}
          @says = says(people)
          @written = written(people)
        end

        # @return [Boolean] whether anybody is shown as other than they were
        def any? = @hidden || @left_out.any?

        # @param person [String, nil] id
        # @return [Boolean]
        def left_out?(person) = @left_out.include?(person)

        # @param value [Object] of hashes, arrays and strings
        # @return [Object, nil] as it may be shown; nil where nothing is left of it
        def clean(value)
          return value unless any?

          cleaned = part(value)
          cleaned.equal?(GONE) ? nil : cleaned
        end

        # @param person [String]
        # @return [String] the id by which they are known
        def id(person) = @numbers.key?(person) ? "student-#{@numbers[person]}" : person

        private

        def numbered(people)
          ids = people.reject { |person| person[:staff] || @left_out.include?(person[:id]) }.map { |person| person[:id] }
          ids.uniq.each_with_index.to_h { |id, i| [id, i + 1] }
        end

        def part(value)
          case value
          when Hash then owned?(value) ? GONE : fields(value)
          when Array then value.map { |one| part(one) }.reject { |one| one.equal?(GONE) }
          when String then words(value)
          else value
          end
        end

        def owned?(hash) = @left_out.any? && OWNERS.any? { |field| @left_out.include?(hash[field]) }

        # A mark that is put is nothing without the mark. Without reactions a post has no list of them.
        def fields(hash)
          hash.each_with_object({}) do |(key, value), kept|
            cleaned = part(value)
            return GONE if key == :mark && cleaned.equal?(GONE)
            next if @left_out.include?(key.to_s) || (key == :reactions && cleaned == [])

            kept[name_of(key)] = cleaned.equal?(GONE) ? nil : cleaned
          end
        end

        def name_of(key) = @numbers.key?(key.to_s) ? id(key.to_s).to_sym : key

        # Most strings are short and come again and again: kinds, inks, pages.
        def words(text)
          return said(text) if text.length > SHORT

          @known.fetch(text) do
            @known.clear if @known.length >= MOST_KNOWN
            @known[text] = said(text)
          end
        end

        def said(text)
          return GONE if @left_out.include?(text)
          return id(text) if @numbers.key?(text)

          @written ? text.gsub(@written) { |found| @says.fetch(found, nil) || @says.fetch(found.downcase, found) } : text
        end

        # @return [Hash{String => String}] what is said in place of a name and of its parts; of whole names in small letters too
        def says(people)
          concerned(people).reverse.each_with_object({}) do |person, all|
            says = @left_out.include?(person[:id]) ? SOMEBODY : "Student #{@numbers[person[:id]]}"
            parts(person[:name]).each { |one| all[one] = all[one.upcase] = says }
            all[person[:name]] = all[person[:name].downcase] = says
          end
        end

        # Whole names come first, those of staff among them, which stay. Parts are hidden where they are written as names are: many are
        # words as well.
        def written(people)
          concerned = concerned(people)
          return if concerned.empty?

          stay = people.select { |person| person[:staff] }.map { |person| Regexp.escape(person[:name]) }
          whole = concerned.map { |person| "(?i:#{Regexp.escape(person[:name])})" }
          some = concerned.flat_map { |person| parts(person[:name]) }.uniq.map { |one| Regexp.union(one, one.upcase).source }
          /(?<![[:alnum:]])(?:#{[*stay, *by_length(whole), *by_length(some)].join('|')})(?![[:alnum:]])/
        end

        def concerned(people) = people.select { |person| @numbers.key?(person[:id]) || @left_out.include?(person[:id]) }

        # As names are written; what is small in a name that has capitals, as *van* and *de*, is a word like others.
        def parts(name)
          words = name.split(/[\s-]+/).select { |one| one.length >= LEAST }
          capital = words.grep_v(/\A[[:lower:]]/)
          capital.empty? ? words.map(&:capitalize) : capital
        end

        def by_length(all) = all.sort_by { |one| -one.length }
      end
    end
  end
end
