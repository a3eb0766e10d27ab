# frozen_string_literal: true

require 'json'

module Veranda
  module Workshop
    # Reads a stream of a recording's zip, line by line. Whatever a line says is held against the shape that the browser's types are made
    # of, and marks against what a client may put: what could not have come from here is not taken in.
    class RecordingLines
      STOOD = Core::Streams::Fold::STOOD
      # Kinds of entries by kind of stream.
      KINDS = Core::Streams::Kinds.recorded.to_h { |kind| [kind.kind.to_s, Shapes::Entries.of(kind.kind)] }.freeze
      # What a stream stood at is a view of it.
      STOODS = KINDS.keys.to_h do |kind|
        view = Shapes::Language.shape(Shapes::Messages::VIEWS.fetch(kind.to_sym))
        [kind, { type: 'object', properties: { view: view }, required: %w[view], additionalProperties: false }]
      end.freeze
      # Lines of one stream, bytes of one line.
      MOST = 200_000
      LONGEST = 16 * 1024 * 1024
      LINE = Core::Contract.define do
        required(:at).value(:integer, :moment?)
        required(:by).value(Core::Types::ID)
        required(:kind).value(:string, format?: /\A[a-z_]{1,30}\z/)
        required(:body).value(:hash)
      end
      KEPT = Core::Contract.define { required(:marks).value(:array, max_size?: Core::Boards::Board::MAX_MARKS).each { hash(Core::Boards::MarkContract::KEPT) } }
      PUT = Core::Contract.define { required(:marks).value(:array).each { hash(Core::Boards::MarkContract::PUT) } }
      CHANGE = Core::Contract.define { required(:marks).value(:array).each { hash(Core::Boards::MarkContract::CHANGE) } }
      GROUND = Core::Contract.define { required(:grounds).value(:array).each { hash(Core::Boards::MarkContract::GROUND) } }
      # What the server gives marks.
      GIVEN = %w[by at z shows].freeze

      # @return [Shapes::Document]
      def self.shapes
        @shapes ||= Shapes::Document.new(KINDS.flat_map do |name, kinds|
          { STOOD => STOODS[name], **kinds }.map { |kind, shape| ["#{name}.#{kind}", shape] }
        end.to_h)
      end

      # @param name [String] of the stream, see {Core::Recordings::ZipManifest}
      # @param within [Array(Integer, Integer)] ms since the epoch
      def initialize(name, within:)
        @kind = name[/\A\w+/]
        @within = within
      end

      # @param io [#gets]
      # @return [Integer] how many there were
      # @yieldparam line [Hash]
      # @raise [Core::Refusal] `bad_input`
      def each(io)
        number = before = 0
        while (text = io.gets("\n", LONGEST))
          raise wrong(number + 1, 'is too long') if text.bytesize >= LONGEST || (number += 1) > MOST

          line = checked(text, number)
          raise wrong(number, 'is out of order') if line['at'] < before

          before = line['at']
          yield line
        end
        number
      end

      private

      def checked(text, number)
        line = Core::PlainText.parse(text)
        raise wrong(number, 'is none') unless line.is_a?(Hash)

        Core::Contract.check(LINE, line)
        raise wrong(number, 'is of another time') unless line['at'].between?(*@within)

        fault = self.class.shapes.fault(shape(line['kind'], number), line['body'])
        raise wrong(number, fault) if fault

        marks!(line) if @kind == 'board'
        line
      rescue Core::Refusal => e
        e.says.start_with?('Line') ? raise : raise(wrong(number, e.says))
      end

      # What the shape of such a line is called in {.shapes}.
      def shape(kind, number)
        return "#{@kind}.#{kind}" if kind == STOOD || KINDS.fetch(@kind).key?(kind.to_sym)

        raise wrong(number, "says “#{kind}”, which is not known of such a stream")
      end

      # A shape says of which kind each field of a mark is; how far it may go, and what its kind needs, is said elsewhere.
      def marks!(line)
        body = line['body']
        pages!(body['view'] || body)
        case line['kind']
        when STOOD then kept!(body['view']['marks'])
        when 'taken_in' then kept!(body['marks'])
        when 'edited'
          puts, changes = body['ops'].partition { |op| op['op'] == 'put' }
          new!(puts.map { |op| op['mark'] })
          # A field that is taken away is told as nothing.
          Core::Contract.check(CHANGE, { 'marks' => changes.filter_map { |op| op['set']&.except(*GIVEN, 'shows')&.compact } })
        end
      end

      def pages!(told)
        rows = [*told['page_facts'], *(told['pages'] || []).grep(Hash), told]
        raise Core::Refusal.new(:bad_input, 'it has too many pages') if rows.length > Core::Boards::Board::MAX_PAGES + 1

        Core::Contract.check(GROUND, { 'grounds' => rows.filter_map { |row| row['ground'] } })
      end

      def kept!(marks)
        Core::Contract.check(KEPT, { 'marks' => marks })[:marks].each { |mark| Core::Boards::Mark.check!(mark) }
      end

      def new!(marks)
        Core::Contract.check(PUT, { 'marks' => marks.map { |mark| mark.except(*GIVEN) } })[:marks].each { |mark| Core::Boards::Mark.check!(mark) }
      end

      def wrong(number, says)
        Core::Refusal.new(:bad_input, "Line #{number} of the #{@kind} in this zip cannot be read: #{says}. Nothing was taken in.")
      end
    end
  end
end
