# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # Reads marks that people put on regions of a page as their answers: ticks, crosses, counters, notes and names count for the region
      # in which their middle lies; of each person the first so many.
      #
      #   MarksAsVotes.new([{ id: 'a', x: 0, y: 0, w: 800, h: 1000 }], most: 1).answers(marks) #=> { 'farah' => ['a'] }
      class MarksAsVotes
        SIGNS = %w[tick cross].freeze
        # Regions on one page.
        MOST = 30

        # @param regions [Array<Hash>] `{ id:, x:, y:, w:, h: }`, px; where two lie over one another the first counts
        # @param most [Integer, nil] marks of one person that count
        def initialize(regions, most: nil)
          @regions = regions
          @most = most
        end

        # @param marks [Array<Hash>] of the page
        # @return [Hash{String => Array<String>}] ids of regions by person, in the order in which they were put; one region may be in it
        #   more
        #   than once
        def answers(marks)
          votes = marks.select { |mark| vote?(mark) }.sort_by { |mark| [mark[:at], mark[:z], mark[:id]] }
          votes = votes.filter_map { |mark| (region = region_of(mark)) && [mark[:by], region] }
          votes.group_by(&:first).transform_values { |some| some.map(&:last).first(@most || some.length) }
        end

        # @param marks [Array<Hash>]
        # @return [Hash{String => Integer}] how many count for each region, those without any too
        def counts(marks)
          counted = answers(marks).values.flatten.tally
          @regions.to_h { |region| [region[:id], counted[region[:id]] || 0] }
        end

        private

        def vote?(mark)
          case mark[:kind]
          when Boards::Mark::SIGN then SIGNS.include?(mark[:sign])
          when Boards::Mark::PROP then mark[:prop] == 'counter'
          else Boards::Mark::WRITTEN.include?(mark[:kind])
          end
        end

        def region_of(mark)
          x, y, w, h = Boards::Mark.bounds(mark)
          middle_x, middle_y = x + (w / 2.0), y + (h / 2.0)
          @regions.find { |one| middle_x.between?(one[:x], one[:x] + one[:w]) && middle_y.between?(one[:y], one[:y] + one[:h]) }&.fetch(:id)
        end
      end
    end
  end
end
