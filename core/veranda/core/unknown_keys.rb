# frozen_string_literal: true

module Veranda
  module Core
    # Finds the first key of some input that its contract does not know, at any depth. dry-schema
    # can do the same, but by listing every path of the input, which took longer than all
    # other checks of a stroke together.
    module UnknownKeys
      module_function

      # @param keys [Enumerable<Dry::Schema::Key>] a contract's key map
      # @param input [Object] as parsed from JSON
      # @return [Array<String, Integer>, nil] path to the first unknown key
      def find(keys, input)
        return unless input.is_a?(Hash)

        input.each do |name, value|
          key = keys.find { |candidate| candidate.name == name }
          return [name] unless key

          path = inside(key, value)
          return [name, *path] if path
        end
        nil
      end

      def inside(key, value)
        case key
        when Dry::Schema::Key::Hash then find(key.members, value)
        when Dry::Schema::Key::Array then inside_each(key.member, value)
        end
      end
      private_class_method :inside

      def inside_each(member, values)
        return unless values.is_a?(Array)

        values.each_with_index do |value, index|
          path = member.is_a?(Dry::Schema::KeyMap) ? find(member, value) : inside(member, value)
          return [index, *path] if path
        end
        nil
      end
      private_class_method :inside_each
    end
  end
end
