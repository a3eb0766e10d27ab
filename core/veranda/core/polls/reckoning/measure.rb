# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Reads a number as people write one: `3.5`, `3,5`, `1 250`, `−4`, `2.7 nm` where that is the unit.
      module Measure
        NUMBER = /\A([+\-\u2212\u2013]?)(\d{1,3}(?: \d{3})+|\d+)?(?:[.,](\d+))?(?:[eE]([+-]?\d{1,3}))?\z/

        # Figures, and what comes behind them.
        PARTS = /\A([^\p{L}°%'"]*(?:[eE][+-]?\d+)?)(.*)\z/m
        LONGEST = 60
        private_constant :NUMBER, :PARTS

        module_function

        # @param given [Object]
        # @param question [Hash] with `unit`, `low` and `high`, if any
        # @return [Float]
        # @raise [Refusal] `no_number`, `wrong_unit`, `out_of_range`
        def read(given, question)
          number = given.is_a?(String) ? written(given[0, LONGEST], question[:unit]) : given
          raise Refusal.new(:no_number, 'That is no number. Write it in figures, like 2.7.') unless Types::Predicates.measure?(number)

          within!(number.to_f, *question.values_at(:low, :high))
        end

        # @return [Float, nil] nil when it is no number
        def written(text, unit)
          figures, rest = PARTS.match(text.gsub(/\p{Z}/, ' ').strip).captures
          parts = NUMBER.match(figures.strip) or return
          sign, whole, fraction, exponent = parts.captures
          return if whole.nil? && fraction.nil?

          unit!(rest.strip, unit)
          "#{'-' unless ['', '+'].include?(sign)}0#{whole.to_s.gsub(/\D/, '')}.#{fraction || 0}e#{exponent || 0}".to_f
        end
        private_class_method :written

        def unit!(rest, unit)
          return if rest.empty? || (unit && rest.casecmp?(unit.strip))

          raise Refusal.new(:wrong_unit, unit ? "Give it in #{unit}." : 'Write the number alone.')
        end
        private_class_method :unit!

        def within!(number, low, high)
          return number if (low.nil? || number >= low) && (high.nil? || number <= high)

          says = if low && high then "It lies between #{low} and #{high}."
                 else low ? "It is #{low} at least." : "It is #{high} at most."
                 end
          raise Refusal.new(:out_of_range, says)
        end
        private_class_method :within!
      end
    end
  end
end
