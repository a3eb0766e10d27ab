# frozen_string_literal: true

module Veranda
  module Core
    module Groups
      # Whether units fit into rooms when some are kept apart: goes through all ways, whoever has fewest rooms left first, and begins anew
      # with whom it failed on most (F. Boussemart et al., Boosting Systematic Search by Weighting Constraints, ECAI 2004).
      class Placement
        # Units placed before it begins anew the first time, and times that it does; each lasts longer than the one before.
        PATIENCE = 200
        LONGER = 1.6
        TIMES = 9

        # @param sizes [Array<Integer>] people in each unit
        # @param apart [Array<Array<Integer>>] for each unit those that may not be with it
        # @param places [Array<Integer>] for how many people there is room in each room
        def initialize(sizes, apart, places)
          @sizes = sizes
          @apart = apart
          @places = places
          @failed = apart.map { |others| 1.0 + others.length }
        end

        # @return [Array<Array<Integer>>, nil, false] units in each room; nil when there is no way, false when none was found in time
        def call
          return nil if crowd?

          patience = PATIENCE
          TIMES.times do
            begin_anew(patience)
            done = place
            return @rooms if done
            return nil if @left.positive?

            patience = (patience * LONGER).round
          end
          false
        end

        private

        # Whether more are kept apart from one another than there are rooms, as far as that is seen at a glance.
        def crowd?
          by_apart = @apart.each_index.sort_by { |unit| -@apart[unit].length }
          by_apart.any? do |first|
            next if @apart[first].length < @places.length

            by_apart.each_with_object([first]) { |unit, crowd| crowd << unit if crowd.all? { |one| @apart[one].include?(unit) } }
                    .length > @places.length
          end
        end

        def begin_anew(patience)
          @left = patience
          @rooms = @places.map { [] }
          @free = @places.dup
          @room_of = Array.new(@sizes.length)
        end

        def place
          unit, rooms = hardest
          return true unless unit

          @failed[unit] += 1 if rooms.empty?
          rooms.each do |room|
            return false if (@left -= 1).negative?

            enter(unit, room)
            return true if place

            leave(unit, room)
          end
          @failed[unit] += 1
          false
        end

        def hardest
          found = nil
          @sizes.each_index do |unit|
            next if @room_of[unit]

            rooms = open_to(unit)
            return [unit, rooms] if rooms.empty?

            hardness = rooms.length / (@failed[unit] * @sizes[unit])
            found = [unit, rooms, hardness] if found.nil? || hardness < found.last
          end
          found
        end

        # Rooms for this unit; of empty ones of one size the first stands for all.
        def open_to(unit)
          closed = @apart[unit].filter_map { |other| @room_of[other] }
          rooms = @free.each_index.select { |room| @free[room] >= @sizes[unit] && !closed.include?(room) }
          rooms.uniq { |room| @rooms[room].empty? ? [:empty, @free[room]] : room }
        end

        def enter(unit, room)
          @rooms[room] << unit
          @free[room] -= @sizes[unit]
          @room_of[unit] = room
        end

        def leave(unit, room)
          @rooms[room].pop
          @free[room] += @sizes[unit]
          @room_of[unit] = nil
        end
      end
    end
  end
end
