# frozen_string_literal: true

module Veranda
  module Core
    module Props
      # Counts down. While it runs it shows when it ends, so that every screen counts by itself.
      module Timer
        ACTIONS = %w[start pause reset].freeze

        module_function

        def check!(settings)
          raise Refusal.new(:prop_incomplete, 'A timer needs its seconds.') unless settings[:seconds]
        end

        # @return [Hash] `{ ends_at: }` (ms since the epoch) while it runs, `{ left: }` (ms) while it rests
        def use(action, settings, shows, at:, **)
          left = left(settings, shows, at)
          case action
          when 'start' then { ends_at: at + (left.zero? ? settings[:seconds] * 1000 : left) }
          when 'pause' then { left: left }
          else { left: settings[:seconds] * 1000 }
          end
        end

        # @return [Integer] ms
        def left(settings, shows, at)
          return [shows[:ends_at] - at, 0].max if shows[:ends_at]

          shows[:left] || settings[:seconds] * 1000
        end
      end
    end
  end
end
