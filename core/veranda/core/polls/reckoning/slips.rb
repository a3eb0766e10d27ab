# frozen_string_literal: true

module Veranda
  module Core
    module Polls
      # How many slips of the hand lie between two words: letters left out, put in, taken for another, or two that stand side by side
      # changed over. F. J. Damerau, A technique for computer detection and correction of spelling errors, Communications of the ACM 7
      # (1964); the restricted form, in which no part is edited twice.
      module Slips
        # Letters from which on one slip, and two, are taken for the same word. In shorter ones a slip makes another word.
        ONE_FROM = 5
        TWO_FROM = 9

        module_function

        # @param length [Integer] letters of the shorter one
        # @return [Integer] slips that are let pass
        def allowed(length)
          return 0 if length < ONE_FROM

          length < TWO_FROM ? 1 : 2
        end

        # @param one [Array<Integer>] code points
        # @param other [Array<Integer>]
        # @param most [Integer] beyond which it is of no interest how many there are
        # @return [Integer, nil] nil when there are more
        def between(one, other, most)
          return if (one.length - other.length).abs > most

          one, other = where_they_differ(one, other)
          before_last = nil
          last = (0..other.length).to_a
          one.length.times do |i|
            break if last.min > most

            before_last, last = last, row(one, other, i, last, before_last, most)
          end
          last.last if last.last <= most
        end

        # How words begin and end alike makes no difference.
        def where_they_differ(one, other)
          most = [one.length, other.length].min
          alike = 0
          alike += 1 while alike < most && one[alike] == other[alike]
          behind = 0
          behind += 1 while behind < most - alike && one[-1 - behind] == other[-1 - behind]
          [one[alike, one.length - alike - behind], other[alike, other.length - alike - behind]]
        end
        private_class_method :where_they_differ

        # Only what lies near the diagonal can still be within `most`.
        def row(one, other, index, last, before_last, most)
          far = most + 1
          row = Array.new(other.length + 1, far)
          row[0] = index + 1
          from = [index - most, 0].max
          to = [index + most, other.length - 1].min
          (from..to).each do |j|
            least = [last[j + 1] + 1, row[j] + 1, last[j] + (one[index] == other[j] ? 0 : 1)].min
            least = [least, before_last[j - 1] + 1].min if swapped?(one, other, index, j)
            row[j + 1] = least
          end
          row
        end
        private_class_method :row

        def swapped?(one, other, i, j)
          i.positive? && j.positive? && one[i] == other[j - 1] && one[i - 1] == other[j]
        end
        private_class_method :swapped?
      end
    end
  end
end
