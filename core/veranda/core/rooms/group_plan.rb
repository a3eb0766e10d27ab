# frozen_string_literal: true

require 'dry/schema'

module Veranda
  module Core
    module Rooms
      # How people are to be split, as it is prepared on a step or told on the spot.
      #
      # - `by`, `number`: so many `rooms`, or rooms of such a `size`
      # - `way`: `deal` (computed), `hand`, `choice` (each goes where they like, up to `limit` in a room)
      # - `names`: of rooms, in order; those that lack one are numbered
      # - `wishes`: see {Groups::Wish}
      # - `minutes`, `warnings` (seconds before the end), `grace` (seconds to finish): the time of each room
      # - `ask`: seconds that people have to go by themselves; without it they are moved
      # - `free`: whether people may change rooms; `named`: whether they see who is in which when they choose
      # - `words`: what is to be done, kept in view in every room
      # - `board`: of which each room gets a copy; without it each gets an empty one
      # - `rules`: house rules in rooms, where other than that all is allowed
      # - `staff`: whether those who teach are dealt too
      # - `unannounced`: whether nobody in a room is told when staff step in; `open_doors`: whether they are read without being entered,
      #   which those inside are told, and heard where there is sound; `recorded`: whether sound and picture are recorded there too;
      #   `unrecorded`: whether the recording pauses while rooms are open
      module GroupPlan
        WAYS = %w[deal hand choice].freeze
        # Before the end, in seconds, besides the one when a fifth of the time is left.
        LAST_MINUTE = 60
        GRACE = 30
        MOST_WISHES = 60
        LONGEST_NAME = 40

        CONTRACT = Dry::Schema.JSON do
          required(:by).value(:string, included_in?: %w[rooms size])
          required(:number).value(:integer, gteq?: 1, lteq?: 300)
          optional(:way).value(:string, included_in?: WAYS)
          optional(:names).value(:array, max_size?: Groups::Sizes::MOST_ROOMS).each(:string, max_size?: LONGEST_NAME)
          optional(:wishes).value(:array, max_size?: MOST_WISHES).each do
            hash do
              required(:kind).value(:string, included_in?: Groups::Wish::KINDS)
              optional(:people).value(:array, max_size?: 300).each(Types::ID)
              optional(:by).value(:string, max_size?: 60)
            end
          end
          optional(:limit).value(:integer, gteq?: 1, lteq?: 300)
          optional(:minutes).maybe(:integer, gteq?: 1, lteq?: 600)
          optional(:warnings).value(:array, max_size?: 8).each(:integer, gteq?: 5, lteq?: 36_000)
          optional(:grace).value(:integer, gteq?: 0, lteq?: 600)
          optional(:ask).value(:integer, gteq?: 5, lteq?: 600)
          optional(:free).value(:bool)
          optional(:named).value(:bool)
          optional(:words).value(:string, max_size?: 600)
          optional(:board).maybe(Types::ID)
          optional(:rules).hash { Rights::RIGHTS.each_key { |right| optional(right).value(:bool) } }
          optional(:staff).value(:bool)
          optional(:unannounced).value(:bool)
          optional(:open_doors).value(:bool)
          optional(:recorded).value(:bool)
          optional(:unrecorded).value(:bool)
        end

        module_function

        # @param plan [Hash]
        # @param count [Integer] people
        # @return [Array<Integer>] people in each room
        def sizes(plan, count)
          plan[:by] == 'rooms' ? Groups::Sizes.in_rooms(count, plan[:number]) : Groups::Sizes.of_size(count, plan[:number])
        end

        # @param plan [Hash]
        # @param index [Integer]
        # @return [String] name of a room, by its place
        def room_name(plan, index)
          given = (plan[:names] || [])[index].to_s.strip
          given.empty? ? "Room #{index + 1}" : given
        end

        # @return [Array<String>] ids of those one of whom leads each room
        def leaders(plan) = (plan[:wishes] || []).select { |wish| wish[:kind] == 'lead' }.flat_map { |wish| wish[:people] || [] }.uniq

        # @return [Array<Integer>] seconds before the end, longest first
        def warnings(plan)
          return [] unless plan[:minutes]

          plan[:warnings]&.sort&.reverse || [plan[:minutes] * 60 / 5, LAST_MINUTE].uniq.select { |left| left < plan[:minutes] * 60 }
        end

        # @return [Hash{Symbol => Boolean}] house rules in a room: all is allowed that is not excepted
        def rules(plan) = Rights::RIGHTS.keys.to_h { |right| [right, true] }.merge(plan[:rules] || {})
      end
    end
  end
end
