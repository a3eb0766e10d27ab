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
        DEFAULT = { speak: true, camera: true, share: false, draw: true, arrange: false, add: false, bring: false, post: true,
                    threads: true, props: true, record: false, caption: false }.freeze

        # @param for_all [Hash{Symbol => Boolean}] rights it does not name are as in {DEFAULT}
        # @param exceptions [Hash{Symbol => Hash{String => Boolean}}]
        # @param by_step [Array<Symbol>] rights whose answer for all a step has brought
        def initialize(for_all = {}, exceptions = {}, by_step = [])
          @for_all = DEFAULT.merge(for_all).freeze
          @exceptions = exceptions.freeze
          @by_step = by_step.freeze
          freeze
        end

        def for_all(right) = @for_all.fetch(right)

        # @return [Boolean, nil] nil when the person has no exception
        def exception(right, person_id) = @exceptions.dig(right, person_id)

        # @return [Symbol] what decides: `:exception`, `:step` or `:rule`, see {Answer}
        def from(right, person_id)
          return :exception unless exception(right, person_id).nil?

          @by_step.include?(right) ? :step : :rule
        end

        # @return [HouseRules]
        def set(right, allow, person: nil)
          return HouseRules.new(@for_all.merge(right => allow), @exceptions.except(right), @by_step - [right]) unless person

          own = (@exceptions[right] || {}).reject { |id, _| id == person }
          own = own.merge(person => allow) unless allow == for_all(right)
          HouseRules.new(@for_all, @exceptions.merge(right => own), @by_step)
        end

        # A step brings rules of its own; what an earlier step brought and this one does not name, stays.
        # @param rules [Hash{Symbol => Boolean}]
        # @return [HouseRules]
        def brought(rules)
          HouseRules.new(@for_all.merge(rules), @exceptions.except(*rules.keys), @by_step | rules.keys)
        end

        # @return [Hash] `{ for_all: {right => bool}, exceptions: [{right:, person:, allow:}], by_step: [right] }`
        def to_h
          rows = @exceptions.flat_map do |right, people|
            people.map { |person, allow| { right: right.to_s, person: person, allow: allow } }
          end
          { for_all: @for_all, exceptions: rows, by_step: @by_step.map(&:to_s) }
        end

        # @param facts [Hash] as written by {#to_h}
        # @return [HouseRules]
        def self.from(facts)
          exceptions = facts.fetch(:exceptions).group_by { |row| row[:right].to_sym }
          new(facts.fetch(:for_all), exceptions.transform_values { |rows| rows.to_h { |row| row.values_at(:person, :allow) } },
              (facts[:by_step] || []).map(&:to_sym))
        end
      end
    end
  end
end
