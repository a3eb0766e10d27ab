# frozen_string_literal: true

module Veranda
  module Core
    module Rooms
      # What a deal could not meet, in sentences.
      module Unmet
        # Pairs that are named.
        MOST_NAMED = 3

        module_function

        # @param dealt [Groups::Dealt]
        # @param names [Hash{String => String}] by id
        # @return [Array<String>]
        def sentences(dealt, names)
          [*dealt.contradictions.map { |wishes| contradiction(wishes, names) },
           *(dealt.given_up - dealt.contradictions.map(&:last)).map { |wish| "#{wished(wish, names)}: not met." },
           *again(dealt, names)]
        end

        # @param wishes [Array<Groups::Wish>]
        # @return [String]
        def contradiction(wishes, names)
          said = wishes.map { |wish| wished(wish, names) }
          return "#{said.first}: that cannot be with rooms of this size." if said.length == 1

          "These cannot all be met: #{said.join('; ')}. The last was left out."
        end

        def wished(wish, names)
          people = listed(wish.people.map { |id| names[id] || 'somebody' })
          case wish.kind
          when 'together' then "#{people} together"
          when 'apart' then "#{people} apart"
          when 'lead' then "one of #{people} to lead each room"
          else "one of #{people} in each room"
          end
        end
        private_class_method :wished

        def again(dealt, names)
          return [] if dealt.again.empty?

          named = dealt.again.max_by(MOST_NAMED) { |_, _, times| times }.map do |one, other, times|
            often = times == 1 ? 'once' : "#{times} times"
            "#{names[one]} and #{names[other]} (#{often} before)"
          end
          more = dealt.again.length - named.length
          tail = more.positive? ? " and #{more} more" : ''
          least = dealt.again.length == dealt.bound ? ' With these rooms no fewer are possible.' : ''
          ["Together again: #{named.join(', ')}#{tail}.#{least}"]
        end
        private_class_method :again

        def listed(names) = names.length < 2 ? names.join : "#{names[0..-2].join(', ')} and #{names.last}"
        private_class_method :listed
      end
    end
  end
end
