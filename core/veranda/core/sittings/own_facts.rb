# frozen_string_literal: true

module Veranda
  module Core
    module Sittings
      # What concerns one person in a class and nobody else: the place they are in, their threads, and the boards that are for them and not
      # for all, and with whom they are paired.
      class OwnFacts
        # @return [String, nil] see {Places}
        attr_reader :place
        # @return [Array<Hash>] `{ id:, people:, staff: }` of the threads they are in, see {Exchange::Thread}
        attr_reader :threads
        # @return [Array<Hash>] `{ id:, name:, first_page: }` of the boards that name them
        attr_reader :boards
        # @return [Array<Hash>] `{ board:, of: }`: their own copies of what was handed out
        attr_reader :copies
        # @return [Hash, nil] `{ round:, people: }`: who was paired with them last, whoever goes first first; it holds while the place has
        #   that round
        attr_reader :pair
        # @return [Hash, nil] `{ room:, name:, activity:, until: }` while they are asked to go to a room
        attr_reader :asked
        # @return [Hash, nil] `{ device:, name:, place: }` while they are invited to speak or to be seen, see {Invitation}
        attr_reader :invitation
        # @return [Array<Hash>] `{ activity:, title:, room:, name:, boards: }` of the rooms in which they sat
        attr_reader :rooms

        def initialize
          @threads = []
          @boards = []
          @copies = []
          @rooms = []
        end

        def initialize_copy(_other)
          super
          @threads, @copies = [@threads, @copies].map(&:dup)
        end

        # @param entry [Streams::Entry]
        # @return [self]
        def apply(entry)
          case entry.kind
          when 'placed'
            @place = entry.body[:place]
            @asked = @invitation = nil
          when 'invited' then @invitation = entry.body
          when 'invitation_answered' then @invitation = nil
          when 'asked' then @asked = entry.body
          when 'room_kept' then @rooms = [*@rooms.reject { |room| room[:room] == entry.body[:room] }, entry.body]
          when 'thread_begun' then @threads << entry.body
          when 'boards' then @boards = entry.body[:boards]
          when 'copy_given' then @copies << entry.body
          when 'partnered' then @pair = entry.body
          end
          self
        end

        # @return [Integer] how much there is to write down
        def size = 1 + @threads.length + @boards.length + @copies.length + @rooms.length

        def to_h
          { place: @place, threads: @threads, boards: @boards, copies: @copies, pair: @pair, asked: @asked, invitation: @invitation,
            rooms: @rooms }
        end
        alias view to_h

        # @param facts [Hash] as written by {#to_h}
        def self.from(facts) = new.tap { |own| own.send(:restore, facts) }

        private

        def restore(facts)
          @place, @pair, @asked, @invitation = facts.values_at(:place, :pair, :asked, :invitation)
          @threads, @boards, @copies, @rooms = %i[threads boards copies rooms].map { |field| facts[field] || [] }
        end
      end
    end
  end
end
