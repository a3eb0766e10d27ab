# frozen_string_literal: true

module Veranda
  module Core
    module Rights
      # What students may do in a class: one answer per right for all, and exceptions for single people.
      #
      #   rules = HouseRules.new(draw: false)
      #   rules = rules.set(:draw, true, person: 'farah')
      #   rules.exception(:draw, 'farah') #=> true
      #
      # Immutable. Setting a right for all forgets the exceptions to it, so that
      # "nobody draws" means nobody.
      class HouseRules
        DEFAULT = { draw: true, post: true, props: true, arrange: false }.freeze

        # @param for_all [Hash{Symbol => Boolean}] rights it does not name are as in {DEFAULT}
        # @param exceptions [Hash{Symbol => Hash{String => Boolean}}]
        def initialize(for_all = {}, exceptions = {})
          @for_all = DEFAULT.merge(for_all).freeze
          @exceptions = exceptions.freeze
          freeze
        end

        def for_all(right) = @for_all.fetch(right)

        # @return [Boolean, nil] nil when the person has no exception
        def exception(right, person_id) = @exceptions.dig(right, person_id)

        # @return [HouseRules]
        def set(right, allow, person: nil)
          return HouseRules.new(@for_all.merge(right => allow), @exceptions.except(right)) unless person

          own = (@exceptions[right] || {}).reject { |id, _| id == person }
          own = own.merge(person => allow) unless allow == for_all(right)
          HouseRules.new(@for_all, @exceptions.merge(right => own))
        end

        # @return [Hash] `{ for_all: {right => bool}, exceptions: [{right:, person:, allow:}] }`
        def to_h
          rows = @exceptions.flat_map do |right, people|
            people.map { |person, allow| { right: right.to_s, person: person, allow: allow } }
          end
          { for_all: @for_all, exceptions: rows }
        end

        # @param facts [Hash] as written by {#to_h}
        # @return [HouseRules]
        def self.from(facts)
          exceptions = facts.fetch(:exceptions).group_by { |row| row[:right].to_sym }
          new(facts.fetch(:for_all), exceptions.transform_values { |rows| rows.to_h { |row| row.values_at(:person, :allow) } })
        end
      end
    end
  end
end
