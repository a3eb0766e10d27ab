# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # A sound or clip that plays at the same moment for everybody in a place.
      #
      # In a place's state it is `{ material:, version:, kind:, title:, length:, playing:, at:, since:, speed:, loop:, front: }`. At the
      # time `since` (ms since the epoch) it stood at `at` (ms into it), and has played from there, if it plays. `loop` is `[from, to]` in
      # ms of a stretch that is played again and again, or nil.
      module Clip
        KINDS = %w[sound clip].freeze
        SPEEDS = [0.5, 0.75, 1.0, 1.25, 1.5, 2.0].freeze
        # ms; a shorter stretch is no loop but a noise.
        SHORTEST_LOOP = 500
        # ms
        LONGEST = 4 * 3_600_000

        # Other places in which something plays too: breakout rooms, of whoever stands outside.
        ROOMS = lambda do |dsl|
          dsl.optional(:rooms).value(:array, max_size?: Groups::Sizes::MOST_ROOMS).each(Types::ID)
        end

        # @param concern [Streams::Concern]
        # @return [Array<String>] streams of those places
        def self.rooms(concern) = (concern.input[:rooms] || []).uniq.map { |id| Streams::StreamName.place(concern.sitting_id, id) }

        module_function

        # @param clip [Hash]
        # @param now [Integer] ms since the epoch
        # @return [Integer] ms into it
        def position(clip, now)
          at = clip[:at] + (clip[:playing] ? ((now - clip[:since]) * clip[:speed]).floor : 0)
          from, to = clip[:loop]
          at = from + (at - from) % (to - from) if to && at >= to && clip[:at] < to
          at.clamp(0, clip[:length])
        end
      end
    end
  end
end
