# frozen_string_literal: true

require 'dry/schema'

module Veranda
  module Core
    module Boards
      # The fields of a mark as clients send them, for the contracts that carry marks.
      module MarkContract
        MAX_NUMBERS = 6_000
        MAX_TEXT = 4_000
        MAX_ALT = 500

        module_function

        # Declares inside a dry-schema block the fields that may also be changed later.
        # @param dsl [Dry::Schema::DSL]
        def changeable(dsl)
          dsl.optional(:x).value(Types::Number, :coordinate?)
          dsl.optional(:y).value(Types::Number, :coordinate?)
          dsl.optional(:w).value(Types::Number, :extent?)
          dsl.optional(:h).value(Types::Number, :extent?)
          dsl.optional(:points).value(:array, :points?, min_size?: 2, max_size?: MAX_NUMBERS)
          dsl.optional(:press).value(:array, :pressures?, max_size?: MAX_NUMBERS / 2)
          dsl.optional(:ink).value(:string, included_in?: Inks::NAMES)
          dsl.optional(:width).value(Types::Number, :pen_width?)
          dsl.optional(:text).value(:string, max_size?: MAX_TEXT)
          dsl.optional(:alt).value(:string, max_size?: MAX_ALT)
          dsl.optional(:size).value(Types::Number, :type_size?)
          dsl.optional(:angle).value(Types::Number, :turn?)
          dsl.optional(:fill).value(:bool)
          dsl.optional(:locked).value(:bool)
          dsl.optional(:page).value(Types::ID)
          dsl.optional(:group).maybe(Types::ID)
        end

        # A change set is small and fixed in shape, so both ways of naming a mark share it.
        CHANGE = Dry::Schema.JSON do
          config.predicates = Types::Predicates
          config.messages.load_paths << Contract::MESSAGES
          MarkContract.changeable(self)
        end

        PUT = Dry::Schema.JSON(parent: CHANGE) do
          required(:id).value(Types::ID)
          required(:page).value(Types::ID)
          required(:kind).value(:string, included_in?: Mark::KINDS)
          required(:x).value(Types::Number, :coordinate?)
          required(:y).value(Types::Number, :coordinate?)
          required(:ink).value(:string, included_in?: Inks::NAMES)
          optional(:took).value(:integer, gteq?: 0, lteq?: 120_000)
          optional(:sign).value(:string, included_in?: Mark::SIGNS)
          optional(:material).value(Types::ID)
          optional(:version).value(:integer, gteq?: 1, lteq?: 10_000)
          optional(:slide).value(:integer, gteq?: 1, lteq?: 10_000)
          optional(:prop).value(:string, included_in?: Props::KINDS)
          optional(:settings).hash(Props::SETTINGS)
        end

        # A mark with all that the server had given it, as it is read from a file.
        KEPT = Dry::Schema.JSON(parent: PUT) do
          required(:by).value(Types::ID)
          required(:at).value(:integer, gteq?: 0)
          required(:z).value(:integer)
          optional(:shows).hash(Props::SHOWS)
          optional(:size).value(Types::Number, :kept_size?)
        end

        # The slide that a page is drawn on.
        GROUND = Dry::Schema.JSON do
          required(:material).value(Types::ID)
          required(:version).value(:integer, gteq?: 1)
          required(:slide).value(:integer, gteq?: 1)
          required(:w).value(:integer, gteq?: 1, lteq?: 20_000)
          required(:h).value(:integer, gteq?: 1, lteq?: 20_000)
        end
      end
    end
  end
end
