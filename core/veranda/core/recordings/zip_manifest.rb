# frozen_string_literal: true

require 'dry/schema'

module Veranda
  module Core
    module Recordings
      # What `manifest.json` in a recording's zip says; `docs/recording-zip.md` tells it in words. All times are ms since the epoch.
      module ZipManifest
        FORMAT = 'veranda-recording'
        VERSION = 1
        FOREIGN = 'This zip holds no recording of Veranda. Nothing was taken in.'

        PERSON = Contract.define do
          required(:id).value(Types::ID)
          required(:name).value(:string, max_size?: Name::LIMIT)
          required(:role).value(:string, included_in?: Person::ROLES)
        end
        # Letters in the name of a board.
        LONGEST_NAME = 80
        BOARD = Contract.define do
          required(:id).value(Types::ID)
          required(:name).filled(:string, max_size?: LONGEST_NAME)
        end
        CHAPTER = Contract.define do
          required(:title).filled(:string, max_size?: SetChapter::LONGEST)
          required(:at).value(:integer, :moment?)
        end
        # Things that lie in a file of the zip.
        FILE = ->(dsl) { dsl.required(:file).filled(:string, max_size?: 200) }
        CAPTIONS = Contract.define do
          FILE.call(self)
          required(:lang).value(Types::LANGUAGE)
        end
        TRACK = Contract.define do
          FILE.call(self)
          required(:person).value(Types::ID)
          required(:kind).value(:string, included_in?: %w[sound picture screen])
          required(:from).value(:integer, :moment?)
        end
        # What is shown or played of a material.
        SHOWN = lambda do |dsl|
          FILE.call(dsl)
          dsl.required(:material).value(Types::ID)
          dsl.required(:version).value(:integer, gteq?: 1, lteq?: 10_000)
        end
        PICTURE = Contract.define do
          SHOWN.call(self)
          required(:slide).value(:integer, gteq?: 1, lteq?: 10_000)
        end
        PLAYED = Contract.define do
          SHOWN.call(self)
          required(:title).filled(:string, max_size?: 120)
        end
        STREAM = Contract.define do
          FILE.call(self)
          required(:name).value(:string, format?: /\A(?:sitting|questions|place\.main|exchange\.main|(?:board|poll)\.[\w-]{1,40})\z/)
        end

        CONTRACT = Contract.define do
          required(:format).value(:string)
          required(:version).value(:integer)
          required(:title).filled(:string, max_size?: 120)
          required(:course).value(:string, max_size?: 200)
          required(:stretches).value(:array, min_size?: 1, max_size?: 2_000).each do
            value(:array, min_size?: 2, max_size?: 2).each(:integer, :moment?)
          end
          required(:people).value(:array, max_size?: 2_000).each { hash(PERSON) }
          required(:boards).value(:array, max_size?: 200).each { hash(BOARD) }
          required(:chapters).value(:array, max_size?: 500).each { hash(CHAPTER) }
          required(:captions).value(:array, max_size?: 20).each { hash(CAPTIONS) }
          required(:tracks).value(:array, max_size?: 5_000).each { hash(TRACK) }
          required(:pictures).value(:array, max_size?: 2_000).each { hash(PICTURE) }
          required(:played).value(:array, max_size?: 200).each { hash(PLAYED) }
          required(:streams).value(:array, min_size?: 3, max_size?: 1_000).each { hash(STREAM) }
        end

        module_function

        # @param facts [Hash] as parsed from JSON
        # @return [Hash] with symbol keys
        # @raise [Refusal] `zip_foreign`, `zip_newer`, `bad_input`
        def check(facts)
          raise Refusal.new(:zip_foreign, FOREIGN) unless facts.is_a?(Hash) && facts['format'] == FORMAT
          if facts['version'] != VERSION
            raise Refusal.new(:zip_newer,
                              'This recording was saved by another version of Veranda than this one can read. Nothing was taken in.')
          end

          checked = Contract.check(CONTRACT, facts)
          unless ordered?(checked[:stretches]) && (checked[:streams].map do |one|
            one[:name]
          end & %w[sitting place.main exchange.main]).length == 3
            raise Refusal.new(:bad_input, 'The manifest in this zip contradicts itself. Nothing was taken in.')
          end

          checked
        end

        def ordered?(stretches) = stretches.flatten.each_cons(2).with_index.all? { |(one, other), i| i.even? ? other > one : other >= one }
        private_class_method :ordered?

        # @param name [String] of a stream in a zip, `board.b7`
        # @param sitting [String] id of the class
        # @param boards [Hash{String => String}] ids of boards here by those in the zip
        # @return [String] name of the stream here
        def stream(name, sitting, boards)
          kind, part = name.split('.', 2)
          return Streams::StreamName.board(boards.fetch(part)) if kind == 'board'

          part ? "#{kind}/#{sitting}.#{part}" : "#{kind}/#{sitting}"
        end

        # @param name [String] of a stream here
        # @return [String] what it is called in a zip
        def called(name)
          kind = Streams::StreamName.kind(name)
          part = kind == :board ? Streams::StreamName.id(name) : Streams::StreamName.part(name)
          part ? "#{kind}.#{part}" : kind.to_s
        end
      end
    end
  end
end
