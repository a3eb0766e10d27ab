# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # What is missing or doubtful before a class, each with the place to mend it.
      #
      #   Readiness.of(lesson, now: ms) #=> [{ code: :too_long, says: "…", step: nil }]
      module Readiness
        module_function

        # @param lesson [Hash] `:steps`, `:minutes`, `:record_from`, `:starts_at` (ms)
        # @param now [Integer] ms since the epoch
        # @return [Array<Hash>] empty when all is well
        def of(lesson, now:)
          return [finding(:no_steps, 'The run sheet is empty.')] if lesson[:steps].empty?

          [too_long(lesson), *steps_without_board(lesson), past(lesson, now), recording_off(lesson)].compact
        end

        def too_long(lesson)
          sheet = RunSheet.new(lesson[:steps], starts_at: lesson[:starts_at], minutes: lesson[:minutes])
          finding(:too_long, "#{sheet.total} min planned, #{lesson[:minutes]} there.") if sheet.over.positive?
        end
        private_class_method :too_long

        def steps_without_board(lesson)
          lesson[:steps].reject { |step| step[:board] }.map do |step|
            finding(:no_board, "“#{step[:title]}” shows no board.", step: step[:id])
          end
        end
        private_class_method :steps_without_board

        def past(lesson, now)
          return unless lesson[:starts_at] + lesson[:minutes] * 60_000 < now

          finding(:past,
                  'This class was planned for a time that has passed.')
        end
        private_class_method :past

        def recording_off(lesson)
          finding(:recording_off, 'Recording will not start by itself.') if lesson[:record_from].nil?
        end
        private_class_method :recording_off

        def finding(code, says, step: nil) = { code: code, says: says, step: step }
        private_class_method :finding
      end
    end
  end
end
