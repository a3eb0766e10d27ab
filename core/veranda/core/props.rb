# frozen_string_literal: true

require 'dry/schema'

module Veranda
  module Core
    # Interactive pieces on a board. A prop is a mark of kind `prop` with `settings`; what it
    # `shows` changes only when the server lets somebody use it, so that it is the same for everyone:
    #
    #   Props.use('dice', 'roll', settings: { count: 2, faces: 6 }, shows: nil, at: ms, seed: 7)
    #   #=> { rolled: [5, 2] }
    #
    # Chance comes from a seed that is kept with the result, so that it can be checked afterwards.
    module Props
      KINDS = %w[dice spinner counter timer picker].freeze

      SETTINGS = Dry::Schema.JSON do
        config.predicates = Types::Predicates
        config.messages.load_paths << Contract::MESSAGES
        optional(:count).value(:integer, gteq?: 1, lteq?: 12)
        optional(:faces).value(:integer, gteq?: 2, lteq?: 100)
        optional(:labels).value(:array, min_size?: 2, max_size?: 24).each(:string, max_size?: 40)
        optional(:weights).value(:array, :weights?, max_size?: 24)
        optional(:shape).value(:string, included_in?: Counter::SHAPES)
        optional(:seconds).value(:integer, gteq?: 5, lteq?: 36_000)
        optional(:names).value(:array, max_size?: 300).each(:string, max_size?: Name::LIMIT)
      end

      # What props may show.
      SHOWS = Dry::Schema.JSON do
        config.predicates = Types::Predicates
        config.messages.load_paths << Contract::MESSAGES
        optional(:rolled).value(:array, max_size?: 12).each(:integer, gteq?: 1, lteq?: 100)
        optional(:index).value(:integer, gteq?: 0, lteq?: 23)
        optional(:turn).value(Types::Number, :turn?)
        optional(:ends_at).value(:integer)
        optional(:left).value(:integer, gteq?: 0)
        optional(:name).maybe(:string, max_size?: Name::LIMIT)
        optional(:picked).value(:array, max_size?: 300).each(:string, max_size?: Name::LIMIT)
      end

      module_function

      # @param settings [Hash]
      # @raise [Refusal] `prop_incomplete`
      def check!(kind, settings) = of(kind).check!(settings)

      # @param kind [String] one of {KINDS}
      # @param action [String] what to do with it
      # @param settings [Hash]
      # @param shows [Hash, nil] what it shows so far
      # @param at [Integer] ms since the epoch
      # @param seed [Integer]
      # @param present [Array<String>] names of those who can be picked when no names are set
      # @return [Hash] what it shows now
      # @raise [Refusal] `no_such_action`, or why it cannot be done
      def use(kind, action, settings:, shows:, at:, seed:, present: [])
        prop = of(kind)
        raise Refusal.new(:no_such_action, "A #{kind} cannot do that.") unless prop::ACTIONS.include?(action)

        prop.use(action, settings, shows || {}, at: at, rng: Random.new(seed), present: present)
      end

      def of(kind)
        { 'dice' => Dice, 'spinner' => Spinner, 'counter' => Counter, 'timer' => Timer, 'picker' => Picker }.fetch(kind)
      end
    end
  end
end
