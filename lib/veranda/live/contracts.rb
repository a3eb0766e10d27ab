# frozen_string_literal: true

require 'dry/schema'

module Veranda
  module Live
    # The contracts as JSON Schema, with the constants the browser draws by, so that the
    # TypeScript side is generated and cannot drift.
    #
    #   ruby -r ./config/environment -e 'puts JSON.generate(Veranda::Live::Contracts.to_h)'
    module Contracts
      Dry::Schema.load_extensions(:json_schema)

      # dry-schema cannot say what is in an array that it checks as a whole.
      NUMBERS = %i[points path press weights].to_h { |name| [name, { type: 'array', items: { type: 'number' } }] }.freeze

      module_function

      # @return [Hash] `{ commands: { name => JSON Schema }, constants: {…} }`
      def to_h = { commands: commands, constants: constants }

      def commands
        (Core::Commands::ALL - Core::Commands::INTERNAL).to_h do |command|
          [command.wire_name, tidy(command.contract.json_schema(loose: true))]
        end
      end

      def constants
        boards = Core::Boards
        { VERSION: Protocol::VERSION, INKS: boards::Inks::INKS, WASHES: boards::Inks::WASHES, PAPER: boards::Inks::PAPER,
          PAGE_WIDTH: boards::Mark::PAGE_WIDTH, PAGE_HEIGHT: boards::Mark::PAGE_HEIGHT, FIRST_PAGE: boards::Board::FIRST_PAGE,
          FREE_BELOW: boards::Board::FREE_BELOW,
          MAX_NUMBERS: boards::MarkContract::MAX_NUMBERS, MAX_TEXT: boards::MarkContract::MAX_TEXT,
          LEADING: boards::TextLayout::LEADING, NOTE_INSET: boards::TextLayout::NOTE_INSET,
          ARROW_SPREAD: boards::ArrowHead::SPREAD, STROKE_CORNER: boards::StrokePath::CORNER,
          POST_LIMIT: Core::Exchange::WritePost::LIMIT, NAME_LIMIT: Core::Name::LIMIT,
          WIDTHS: boards::AdvanceWidths::WIDTHS, OTHERWISE: boards::AdvanceWidths::OTHERWISE }
      end

      # Numbers of any kind are plain numbers to JSON, and nothing beyond the contract is let in.
      def tidy(schema)
        return schema.map { |part| tidy(part) } if schema.is_a?(Array)
        return schema unless schema.is_a?(Hash)

        schema = schema.except(:$schema, :not).transform_values { |part| tidy(part) }
        return schema unless schema[:properties]

        schema.merge(additionalProperties: false, properties: schema[:properties].to_h { |name, part| [name, typed(name, part)] })
      end
      private_class_method :tidy

      # Types::Number has no type of its own in the schema.
      def typed(name, part) = NUMBERS[name] || (part.empty? ? { type: 'number' } : part)
      private_class_method :typed
    end
  end
end
