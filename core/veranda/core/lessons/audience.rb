# frozen_string_literal: true

module Veranda
  module Core
    module Lessons
      # Whom of those who do not teach a board is for: all of them, nobody, or some people by name.
      module Audience
        KINDS = %w[everyone staff people].freeze
        # How many people a board may name.
        MOST = 300

        module_function

        # @param board [Hash] `{ audience:, people: }`; boards of old plans name nobody
        # @return [Boolean]
        def everyone?(board) = board[:audience] == 'everyone'

        # @param person [String] id of somebody who does not teach
        # @return [Boolean]
        def includes?(board, person)
          everyone?(board) || (board[:audience] == 'people' && (board[:people] || []).include?(person))
        end

        # @param boards [Array<Hash>]
        # @return [Array<String>] ids of everybody whom some board names
        def named(boards) = boards.select { |board| board[:audience] == 'people' }.flat_map { |board| board[:people] || [] }.uniq
      end
    end
  end
end
