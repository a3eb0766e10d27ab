# frozen_string_literal: true

module Veranda
  module Core
    # A contract as one function that tells good input from other at the speed of plain Ruby. It is made of the very rules that
    # dry-schema holds, so there is one definition; whatever it does not accept goes through dry-schema, which says what is wrong.
    #
    #   check = CompiledContract.new(WritePost.contract)
    #   check.call({ 'id' => 'a', 'text' => 'hi' }) #=> { id: 'a', text: 'hi' }
    #   check.call({ 'id' => 7 })                   #=> nil
    #
    # A stroke takes about a tenth of the time. Rules that this does not know how to read make it accept nothing.
    class CompiledContract
      # What a check answers for input that is not good. Neither nil nor false, which may be values.
      NO = Object.new.freeze
      private_constant :NO

      class Unknown < StandardError; end

      PLAIN = {
        str?: ->(value) { value.is_a?(String) }, int?: ->(value) { value.is_a?(Integer) },
        bool?: ->(value) { value.equal?(true) || value.equal?(false) }, array?: ->(value) { value.is_a?(Array) },
        hash?: ->(value) { value.is_a?(Hash) }, nil?: lambda(&:nil?),
        filled?: ->(value) { !(value.nil? || (value.respond_to?(:empty?) && value.empty?)) }
      }.freeze
      BOUNDED = {
        min_size?: ->(num, value) { value.size >= num }, max_size?: ->(num, value) { value.size <= num },
        size?: ->(num, value) { value.size == num },
        gteq?: ->(num, value) { value >= num }, lteq?: ->(num, value) { value <= num }, gt?: ->(num, value) { value > num },
        included_in?: ->(list, value) { list.include?(value) },
        # A pattern cannot be held against letters that are none.
        format?: ->(regex, value) { value.valid_encoding? && regex.match?(value) }
      }.freeze
      private_constant :PLAIN, :BOUNDED

      # @param contract [Dry::Schema::Processor]
      def initialize(contract)
        @check = fields(contract.rules.values.map(&:to_ast))
      rescue Unknown
        @check = ->(_) { NO }
      end

      # @param input [Object] as parsed from JSON
      # @return [Hash, nil] with symbol keys; nil when the input is not good, or not known to be
      def call(input)
        return unless input.is_a?(Hash)

        found = @check.call(input)
        found.equal?(NO) ? nil : found
      end

      private

      # @param rules [Array] one for each key: `and` for required ones, `implication` for others
      def fields(rules)
        checks, required = {}, 0
        rules.each do |operation, parts|
          next required += anything(checks, parts) if operation == :predicate

          (predicate, (key, ((_, name), *))), rule = parts
          raise Unknown unless predicate == :predicate && key == :key? && rule

          required += 1 if operation == :and
          checks[name.to_s] = [name, field(rule), operation == :and]
        end
        hash_check(checks, required)
      end

      # A key that has to be there, whatever is in it.
      def anything(checks, (key, ((_, name), *)))
        raise Unknown unless key == :key?

        checks[name.to_s] = [name, ->(value) { value }, true]
        1
      end

      def hash_check(checks, required)
        lambda do |input|
          there = 0
          found = {}
          input.each do |key, value|
            name, check, needed = checks[key]
            return NO unless name

            found[name] = value = check.call(value)
            return NO if NO.equal?(value)

            there += 1 if needed
          end
          there == required ? found : NO
        end
      end

      def field((key, (_, rule)))
        raise Unknown unless key == :key

        value(rule)
      end

      # @return [Proc] answers with the value as it goes on, or NO
      def value((operation, parts))
        case operation
        when :predicate then predicate(*parts)
        when :and then both(*parts.map { |part| value(part) })
        when :implication then maybe(*parts)
        when :each then each(value(parts))
        when :set then fields(parts)
        else raise Unknown
        end
      end

      def both(one, other)
        lambda do |value|
          value = one.call(value)
          NO.equal?(value) ? NO : other.call(value)
        end
      end

      # Only of the form "unless it is nil".
      def maybe(condition, rule)
        raise Unknown unless condition in [:not, [:predicate, [:nil?, *]]]

        check = value(rule)
        ->(value) { value.nil? ? nil : check.call(value) }
      end

      def each(check)
        lambda do |values|
          values.map do |value|
            found = check.call(value)
            return NO if NO.equal?(found)

            found
          end
        end
      end

      def predicate(name, arguments)
        bounds = arguments.to_h.except(:input, :value).values
        test = if bounds.empty? then PLAIN[name] || own(name)
               else BOUNDED[name]&.curry(2)&.call(bounds.first)
               end
        raise Unknown unless test

        ->(value) { test.call(value) ? value : NO }
      end

      def own(name)
        raise Unknown unless Types::Predicates.singleton_methods(false).include?(name)

        Types::Predicates.method(name)
      end
    end
  end
end
