# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # The polls that staff have at hand in a class: `{ id:, question:, place:, step:, set:, begun:, away: }`, in the order in which they
      # were staged; `set` is `{ id:, title: }` of the set that one belongs to. `begun` are those that were opened once, `away` those that
      # staff have put away; these stay, with what was answered.
      class Staged
        # In one class.
        MOST = 100
        # In one set.
        MOST_OF_SET = 20

        def initialize(rows = [])
          @by_id = rows.to_h { |row| [row[:id], row] }
        end

        def initialize_copy(_other)
          super
          @by_id = @by_id.dup
        end

        # @return [Array<Hash>]
        def to_a = @by_id.values

        # @return [Hash, nil]
        def [](id) = @by_id[id]

        # @return [Array<Hash>] those that were opened
        def begun = to_a.select { |row| row[:begun] }

        # @param place [String, nil] where somebody is
        # @return [Array<Hash>] those that were opened to them; what they were once asked stays with them until it is put away
        def for_place(place) = begun.select { |row| !row[:away] && (row[:place].nil? || row[:place] == place) }

        # @param entry [Streams::Entry]
        # @return [self, nil] nil when it is about something else
        def apply(entry)
          body = entry.body
          case entry.kind
          when 'poll_staged' then @by_id[body[:id]] = { **body, begun: @by_id.dig(body[:id], :begun) || false, away: false }
          when 'poll_opened' then change(body[:poll], begun: true, away: false)
          when 'poll_put_away' then change(body[:poll], away: true)
          else return
          end
          self
        end

        # @return [Integer] how much there is to write down
        def size = @by_id.length

        private

        def change(id, **facts) = @by_id[id] && @by_id[id] = { **@by_id[id], **facts }
      end
    end
  end
end
