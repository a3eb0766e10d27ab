# frozen_string_literal: true

module Veranda
  module Core
    module Props
      # Picks names by chance, nobody twice until everyone was picked. Picks among its own names, or
      # among the students present when it has none.
      module Picker
        ACTIONS = %w[pick again].freeze

        module_function

        def check!(_settings) = nil

        # @return [Hash] `{ name:, picked: [String], left: Integer }`
        # @raise [Refusal] `nobody_to_pick`
        def use(action, settings, shows, rng:, present:, **)
          names = (settings[:names] || []).reject(&:empty?)
          names = present if names.empty?
          return { name: nil, picked: [], left: names.length } if action == 'again'
          if names.empty?
            raise Refusal.new(:nobody_to_pick,
                              'There is nobody to pick from. Give the picker names, or wait for students.')
          end

          picked = shows[:picked] || []
          # Names may repeat (two Annas), so each takes only as many turns as it stands in the list.
          left = picked.each_with_object(names.dup) { |name, rest| rest.delete_at(rest.index(name)) if rest.include?(name) }
          left, picked = names, [] if left.empty?
          name = left[rng.rand(left.length)]
          { name: name, picked: [*picked, name], left: left.length - 1 }
        end
      end
    end
  end
end
