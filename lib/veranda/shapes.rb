# frozen_string_literal: true

module Veranda
  # What the browser is told, and what it may ask for, as JSON Schema: the TypeScript side is generated from this (`npm run contracts`), and
  # the specs hold every answer and message of the server against it, so that neither can drift.
  #
  #   ruby -r ./config/environment -e 'puts JSON.generate(Veranda::Shapes.to_h)'
  module Shapes
    module_function

    # @return [Hash] `{ commands: { name => JSON Schema }, constants: {…}, shapes: { name => JSON Schema } }`
    def to_h = { commands: Commands.to_h, constants: Constants.to_h, shapes: all }

    # @return [Hash{Symbol => Hash}] JSON Schemas by name; they refer to one another as `#/$defs/NAME`
    def all = { **Marks::ALL, **Views::ALL, **Entries::ALL, **Messages::ALL, **Answers::ALL }
  end
end
