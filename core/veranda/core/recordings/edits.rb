# frozen_string_literal: true

module Veranda
  module Core
    module Recordings
      # How a recording was edited after the class. Nothing of the class is changed by it: what is shown is worked out anew from both, and
      # whatever was done can be taken back. Times are of the day, so that one edit does not move another.
      class Edits
        # A stretch of the class and what became of it: `cut` takes no time, in a `blank` nothing that was written is shown, a `stretch`
        # belongs to the recording though it was switched off then.
        Part = Struct.new(:id, :kind, :from, :to, keyword_init: true)

        # Of all kinds together.
        MOST_PARTS = 100

        # @return [Hash{String => Part}] by id
        attr_reader :parts
        # @return [Hash{Integer => String, nil}] titles of chapters by the time of day at which they begin; nil for one that was taken away
        attr_reader :chapters
        # @return [Array<String>] ids of people of whom nothing is shown
        attr_reader :left_out

        # What was done to the captions of a language: lines by id, ids of those that are gone, and whether there are no others.
        NO_CAPTIONS = { lines: {}.freeze, gone: [].freeze, whole: false }.freeze

        # @return [Hash{String => Hash}] by language, see {NO_CAPTIONS}; a line is `{ id:, from:, to:, words: }`
        attr_reader :captions

        # @param cuts [Array<Array(Integer, Integer)>] from and to, ms since the epoch
        # @return [Edits] with nothing else
        def self.cutting(cuts)
          from(parts: cuts.each_with_index.map { |(from, to), i| { id: "cut#{i}", kind: 'cut', from: from, to: to } })
        end

        def initialize
          @parts = {}
          @chapters = {}
          @left_out = []
          @captions = {}
          @names_hidden = false
        end

        def initialize_copy(_other)
          super
          @parts, @chapters, @captions = [@parts, @chapters, @captions].map(&:dup)
        end

        # @return [Boolean] whether people are called by numbers
        def names_hidden? = @names_hidden

        # @return [Boolean] whether people are shown as other than they were
        def people? = names_hidden? || left_out.any?

        # @return [Array<Array(Integer, Integer)>]
        def cuts = of('cut')
        def blanks = of('blank')
        def stretches = of('stretch')

        # @return [Boolean] whether what was written at that moment is hidden
        def blank?(at) = blanks.any? { |from, to| at.between?(from, to) }

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          body = entry.body
          case entry.kind
          when 'part_set' then @parts[body[:id]] = Part.new(**body.slice(:id, :kind, :from, :to))
          when 'part_taken_back' then @parts.delete(body[:id])
          when 'chapter_set' then @chapters[body[:at]] = body[:title]
          when 'chapter_as_it_was' then @chapters.delete(body[:at])
          when 'names_hidden' then @names_hidden = body[:on]
          when 'captions_set' then caption(**body)
          when 'person_left_out' then body[:on] ? @left_out |= [body[:person]] : @left_out -= [body[:person]]
          end
          self
        end

        # @return [Integer] how much there is to write down
        def size = @parts.length + @chapters.length + @left_out.length + @captions.each_value.sum { |one| one[:lines].length }

        # @return [Hash]
        def to_h
          { parts: @parts.each_value.map(&:to_h), chapters: @chapters.map { |at, title| { at: at, title: title } },
            names_hidden: @names_hidden, left_out: @left_out,
            captions: @captions.map { |lang, one| { **one, lang: lang, lines: one[:lines].values } } }
        end

        # @return [Hash] what an editor shows; captions are asked for by themselves
        def view = to_h.except(:captions)

        # @param facts [Hash] as written by {#to_h}, or some of it
        def self.from(facts)
          new.tap do |edits|
            parts = (facts[:parts] || []).to_h { |part| [part[:id], Part.new(**part)] }
            chapters = (facts[:chapters] || []).to_h { |chapter| chapter.values_at(:at, :title) }
            captions = (facts[:captions] || []).to_h { |one| [one[:lang], { **one.slice(:gone, :whole), lines: by_id(one[:lines]) }] }
            { parts: parts, chapters: chapters, captions: captions, left_out: facts[:left_out] || [],
              names_hidden: facts[:names_hidden] || false }
              .each do |name, value|
              edits.instance_variable_set(:"@#{name}", value)
            end
          end
        end

        def self.by_id(lines) = lines.to_h { |line| [line[:id], line] }
        private_class_method :by_id

        private

        def caption(lang:, lines:, gone:, all: false)
          before = all ? { **NO_CAPTIONS, whole: true } : @captions[lang] || NO_CAPTIONS
          kept = before[:lines].except(*gone).merge(lines.to_h { |line| [line[:id], line] })
          @captions[lang] = { lines: kept, gone: (before[:gone] | gone) - kept.keys, whole: before[:whole] }
        end

        def of(kind) = @parts.each_value.select { |part| part.kind == kind }.map { |part| [part.from, part.to] }
      end
    end
  end
end
