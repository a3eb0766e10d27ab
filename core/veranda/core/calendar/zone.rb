# frozen_string_literal: true

require 'tzinfo'

module Veranda
  module Core
    module Calendar
      # A zone of time by its name in the IANA database, with what its clocks do in spring and autumn.
      #
      #   Zone.of('Europe/London').moment(Time.utc(2026, 7, 1, 18)) #=> ms of 17:00 UTC
      #
      # What the clock on the wall shows is a Time that says UTC and means no zone.
      class Zone
        # Until somebody says where a course is.
        FIRST = 'Etc/UTC'
        DAY = 86_400
        private_constant :DAY

        class << self
          # @return [Boolean]
          def known?(name) = TZInfo::Timezone.all_identifiers.include?(name)

          # @param name [String]
          # @return [Zone]
          # @raise [Refusal] `no_such_zone`
          def of(name)
            raise Refusal.new(:no_such_zone, "There is no zone of time called “#{name.to_s[0, 40]}”.") unless known?(name)

            new(TZInfo::Timezone.get(name))
          end

          # @return [Array<String>]
          def names = TZInfo::Timezone.all_identifiers
        end

        # @return [String]
        def name = @zone.identifier

        # When it is that the clock on the wall shows something. A time that there is twice is the first of the two; one that there is not
        # is as far on as the clocks are put (RFC 5545, 3.3.5).
        # @param wall [Time]
        # @return [Integer] ms since the epoch
        def moment(wall)
          (wall.to_i - @zone.period_for_local(wall, &:first).observed_utc_offset) * 1000
        rescue TZInfo::PeriodNotFound
          (wall.to_i - before(wall)) * 1000
        end

        # @param at [Integer] ms since the epoch
        # @return [Time] what the clock on the wall shows then
        def wall(at)
          seconds = at / 1000
          Time.at(seconds + @zone.period_for(Time.at(seconds).utc).observed_utc_offset).utc
        end

        private

        def initialize(zone)
          @zone = zone
        end

        # @return [Integer] s by which the clocks were ahead of UTC before they are put on
        def before(wall) = @zone.period_for(Time.at(wall.to_i - DAY).utc).observed_utc_offset
      end
    end
  end
end
